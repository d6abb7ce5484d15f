<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/** The part of a picture that is shown, in ppm of its sides (model §4): the file itself keeps all its px. */
final readonly class Crop
{
    private const WHOLE_PPM = 1_000_000;

    private function __construct(public Rect $ppm)
    {
    }

    /** x, y, width, height in ppm, inside the picture. */
    public static function parse(Input $input): self
    {
        return new self(Rect::parsePpm($input));
    }

    /** Which px of the picture that is: every edge at the nearest one, at least one px wide and high. */
    public function of(Size $source): Rect
    {
        $at = static fn (int $ppm, int $of) => Rational::of($ppm * $of, self::WHOLE_PPM)->round();
        $x = min($source->width - 1, $at($this->ppm->x, $source->width));
        $y = min($source->height - 1, $at($this->ppm->y, $source->height));

        return Rect::of(
            $x,
            $y,
            max(1, $at($this->ppm->right(), $source->width) - $x),
            max(1, $at($this->ppm->bottom(), $source->height) - $y),
        );
    }
}
