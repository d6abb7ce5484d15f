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
        $ppm = $input->asList(4, 4);
        [$x, $y] = [$ppm[0]->asInt(0, self::WHOLE_PPM - 1), $ppm[1]->asInt(0, self::WHOLE_PPM - 1)];

        return new self(
            Rect::of($x, $y, $ppm[2]->asInt(1, self::WHOLE_PPM - $x), $ppm[3]->asInt(1, self::WHOLE_PPM - $y)),
        );
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
