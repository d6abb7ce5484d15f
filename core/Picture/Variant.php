<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/** A picture made of a larger one for where it is shown. */
final readonly class Variant
{
    /** Longer sides in px that variants are made in, so that moving a line by a px makes no new file. */
    public const SIDES_PX = [320, 480, 640, 960, 1280, 1920, 2560, 3840, 5120, 7680];
    /**
     * So many px for each that is drawn: scaled down by less, Chromium draws edges a little differently from place to
     * place, and bench and player would not be the same.
     */
    private const PX_A_PX = 2;
    /** Below so many thousandths of its own px, a picture is worth making smaller. */
    private const WORTH_THOUSANDTHS = 750;

    public function __construct(public string $sha256, public string $mime, public int $bytes, public Size $size)
    {
    }

    /**
     * The longer side in px that is enough for a picture drawn at a scale: never fewer than two px for each that
     * is drawn.
     *
     * @return ?int null where the picture may stay as it is
     */
    public static function longerSidePx(Size $source, Rational $scale): ?int
    {
        $longer = max($source->width, $source->height);
        $drawn = $scale->times(Rational::of(self::PX_A_PX * $longer))->ceil();
        foreach (self::SIDES_PX as $side) {
            if ($side >= $drawn) {
                return 1000 * $side < self::WORTH_THOUSANDTHS * $longer ? $side : null;
            }
        }

        return null;
    }
}
