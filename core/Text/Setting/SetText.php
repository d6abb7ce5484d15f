<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Setting;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/**
 * A text laid into a box: the size taken, its lines with their exact widths, the room used, and whether it overflows.
 */
final readonly class SetText
{
    /** @param list<array{text: string, at: int, width: Rational}> $lines at: byte offset in the text */
    public function __construct(
        public int $sizePx,
        public array $lines,
        public Rational $lineHeightPx,
        public bool $overflows,
        public bool $exact,
        public Rational $capHeightPx,
    ) {
    }

    /**
     * With the widths that a browser measured; null where it has not measured every line.
     *
     * @param callable(string): ?int $width of a line, in thousandths of the size
     */
    public function measuredBy(callable $width, Size $box): ?self
    {
        $lines = [];
        foreach ($this->lines as $line) {
            $thousandths = $line['text'] === '' ? 0 : $width($line['text']);
            if ($thousandths === null) {
                return null;
            }
            $px = Rational::of($thousandths * $this->sizePx, 1000);
            $lines[] = ['text' => $line['text'], 'at' => $line['at'], 'width' => $px];
        }

        return new self(
            $this->sizePx,
            $lines,
            $this->lineHeightPx,
            self::isTooMuch($lines, $this->lineHeightPx, $box),
            true,
            $this->capHeightPx,
        );
    }

    /**
     * Whether lines are wider or together higher than a box.
     *
     * @param list<array{text: string, at: int, width: Rational}> $lines
     */
    public static function isTooMuch(array $lines, Rational $lineHeightPx, Size $box): bool
    {
        $width = Rational::of($box->width);

        return $lineHeightPx->times(Rational::of(count($lines)))->compare(Rational::of($box->height)) > 0
            || array_filter($lines, static fn (array $line) => $line['width']->compare($width) > 0) !== [];
    }

    public function widthPx(): Rational
    {
        return array_reduce(
            $this->lines,
            static fn (Rational $most, array $line) => $line['width']->compare($most) > 0 ? $line['width'] : $most,
            Rational::of(0),
        );
    }

    public function heightPx(): Rational
    {
        return $this->lineHeightPx->times(Rational::of(count($this->lines)));
    }

    /** @return array<string, mixed> as `bin/pane text` prints it */
    public function toArray(): array
    {
        return [
            'size' => $this->sizePx,
            'lines' => array_map(
                static fn (array $line) => ['text' => $line['text'], 'width' => $line['width']->decimal(3)],
                $this->lines,
            ),
            'used' => [$this->widthPx()->decimal(3), $this->heightPx()->decimal(3)],
            'overflow' => $this->overflows,
            'measured' => $this->exact ? 'exact' : 'approximate',
            'cap_height_px' => $this->capHeightPx->decimal(3),
        ];
    }
}
