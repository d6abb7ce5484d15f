<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/**
 * A rectangle of a surface with a name, that a design may be made for: in px, or in % so that it follows the canvas.
 * Each edge in % is rounded by itself, so that neighbours in % always touch.
 */
final readonly class NamedArea
{
    /** @param array{int, int, int, int} $sides px, or thousandths of a percent */
    private function __construct(
        public string $id,
        public string $name,
        public bool $percent,
        private array $sides,
    ) {
    }

    /** @throws Refusal for a shape that no canvas can hold */
    public static function parse(Input $input): self
    {
        $input->keys(['id', 'name', 'unit', 'rect']);
        $percent = $input->choice('unit', ['px', '%']) === '%';
        $sides = $input->list('rect', 4, 4);
        $read = static fn (int $i, int $least) => $percent
            ? $sides[$i]->asThousandths($least, 100_000)
            : $sides[$i]->asInt($least, Size::LARGEST_PX);

        $name = $input->text('name', 60, 1);

        return new self(
            NamedId::Area->of($input->optional('id')?->asText(60, 1) ?? $name),
            $name,
            $percent,
            [$read(0, 0), $read(1, 0), $read(2, 1), $read(3, 1)],
        );
    }

    /** @throws Refusal `area.outside`, `area.below_px` */
    public function on(Size $canvas): Rect
    {
        [$left, $top, $width, $height] = $this->sides;
        $x = $this->edge($left, $canvas->width);
        $y = $this->edge($top, $canvas->height);
        $rect = Rect::of(
            $x,
            $y,
            $this->edge($left + $width, $canvas->width) - $x,
            $this->edge($top + $height, $canvas->height) - $y,
        );
        if ($rect->width < 1 || $rect->height < 1) {
            throw Refusal::because('area.below_px', '/rect', ['name' => $this->name]);
        }
        if (!$canvas->rect()->contains($rect)) {
            throw Refusal::because('area.outside', '/rect', [
                'name' => $this->name,
                'right' => $rect->right(),
                'bottom' => $rect->bottom(),
                'width' => $canvas->width,
                'height' => $canvas->height,
            ]);
        }

        return $rect;
    }

    /** @return array<string, mixed> as it is read */
    public function toArray(): array
    {
        $side = fn (int $value) => $this->percent ? Rational::of($value, 1000)->decimal(3) : $value;

        return [
            'id' => $this->id,
            'name' => $this->name,
            'unit' => $this->percent ? '%' : 'px',
            'rect' => array_map($side, $this->sides),
        ];
    }

    private function edge(int $value, int $lengthPx): int
    {
        return $this->percent ? Rational::of(Rational::product($value, $lengthPx), 100_000)->round() : $value;
    }
}
