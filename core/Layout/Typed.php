<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;

/**
 * A length as someone typed it, reckoned when it is known what it is a part of: a single unit stays that unit, px with
 * % or mm become px. A bare number is px.
 */
final readonly class Typed
{
    private const LONGEST = 80;

    /** @param ?array<string, Rational> $amounts by unit; null where there is nothing to reckon */
    private function __construct(private string $text, private ?array $amounts)
    {
    }

    /** @throws Refusal what {@see Arithmetic::amounts()} refuses */
    public static function parse(Input $input): self
    {
        $text = $input->asText(self::LONGEST);
        $amounts = null;
        if (Arithmetic::isWanted($text)) {
            $amounts = Arithmetic::amounts($text, $input->path);
            if (isset($amounts[''])) {
                $amounts['px'] = ($amounts['px'] ?? Rational::of(0))->plus($amounts['']);
                unset($amounts['']);
            }
        }

        return new self($text, $amounts);
    }

    /**
     * @param list<Input> $pair
     *
     * @return array{self, self}
     */
    public static function pair(array $pair): array
    {
        return [self::parse($pair[0]), self::parse($pair[1])];
    }

    /**
     * @param string $path of the text in its command
     *
     * @throws Refusal `glaze.size`, `arithmetic.mixed` for fr with another unit
     */
    public function partSize(int $parentPx, ?Rational $pitchUm, string $path): PartSize
    {
        return PartSize::parse(Input::of($this->reckoned($parentPx, $pitchUm, true, $path), $path));
    }

    /** @throws Refusal `length.text`, `arithmetic.mixed` */
    public function length(int $framePx, string $path): Length
    {
        return Length::parse(Input::of($this->reckoned($framePx, null, false, $path), $path));
    }

    /** Whether it comes to other px in another frame. */
    public function dependsOnFrame(): bool
    {
        return count($this->amounts ?? []) > 1 && isset($this->amounts['%']);
    }

    public function toText(): string
    {
        return $this->text;
    }

    private function reckoned(int $px, ?Rational $pitchUm, bool $whole, string $path): string
    {
        if ($this->amounts === null) {
            return $this->text;
        }
        if (count($this->amounts) < 2) {
            $unit = array_key_first($this->amounts) ?? 'px';
            $amount = $this->amounts[$unit] ?? Rational::of(0);
        } else {
            [$unit, $amount] = ['px', Rational::of(0)];
            foreach ($this->amounts as $of => $value) {
                $amount = $amount->plus(
                    match (true) {
                        $of === 'px' => $value,
                        $of === '%' => $value->times(Rational::of($px, 100)),
                        $of === 'mm' && $pitchUm !== null => $value->times(Rational::of(1000))->dividedBy($pitchUm),
                        default => throw Refusal::because('arithmetic.mixed', $path, ['value' => $this->text]),
                    },
                );
            }
        }
        $asWhole = $whole && ($unit === 'px' || $unit === 'fr');

        return ($asWhole ? (string) $amount->round() : $amount->plain(3)).$unit;
    }
}
