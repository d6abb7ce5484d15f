<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/**
 * A picture in a corner of every scene, over everything: so many thousandths of the canvas's shorter side wide, and as
 * far from the edges.
 */
final readonly class CornerMark
{
    public const CORNERS = ['top-left', 'top-right', 'bottom-left', 'bottom-right'];

    private function __construct(
        public string $media,
        public string $corner,
        public int $widthThousandths,
        public int $marginThousandths,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['media', 'corner', 'width', 'margin']);

        return new self(
            $input->id('media'),
            (string) $input->choice('corner', self::CORNERS),
            $input->int('width', 10, 900),
            $input->int('margin', 0, 400),
        );
    }

    /** Where a picture of that size stands on a canvas; at least a px wide and high. */
    public function on(Size $canvas, Size $picture): Rect
    {
        $part = static fn (int $thousandths) => Rational::of($canvas->shortSide() * $thousandths, 1000)->round();
        $width = max(1, $part($this->widthThousandths));
        $height = max(1, Rational::of($width * $picture->height, $picture->width)->round());
        $margin = $part($this->marginThousandths);
        [$down, $across] = explode('-', $this->corner);

        return Rect::of(
            $across === 'left' ? $margin : $canvas->width - $margin - $width,
            $down === 'top' ? $margin : $canvas->height - $margin - $height,
            $width,
            $height,
        );
    }

    /** @return array{media: string, corner: string, width: int, margin: int} */
    public function toArray(): array
    {
        return [
            'media' => $this->media,
            'corner' => $this->corner,
            'width' => $this->widthThousandths,
            'margin' => $this->marginThousandths,
        ];
    }
}
