<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

/** What a shape fill can be. */
enum Shape: string
{
    case Rectangle = 'rectangle';
    case Ellipse = 'ellipse';
    case Triangle = 'triangle';
    case Diamond = 'diamond';
    case Hexagon = 'hexagon';
    case Arrow = 'arrow';
    case Star = 'star';
    case Ribbon = 'ribbon';
    case Line = 'line';

    /**
     * Its corners in thousandths of the box, from the top left one on, clockwise; none for those that have round sides.
     *
     * @return list<array{int, int}>
     */
    public function corners(): array
    {
        return match ($this) {
            self::Rectangle, self::Ellipse => [],
            self::Triangle => [[500, 0], [1000, 1000], [0, 1000]],
            self::Diamond => [[500, 0], [1000, 500], [500, 1000], [0, 500]],
            self::Hexagon => [[250, 0], [750, 0], [1000, 500], [750, 1000], [250, 1000], [0, 500]],
            self::Arrow => [[0, 250], [600, 250], [600, 0], [1000, 500], [600, 1000], [600, 750], [0, 750]],
            self::Star => self::star(),
            self::Ribbon => [[0, 0], [1000, 0], [900, 500], [1000, 1000], [0, 1000], [100, 500]],
            self::Line => [[0, 400], [1000, 400], [1000, 600], [0, 600]],
        };
    }

    /** @return list<array{int, int}> five points, the inner corners at 2 fifths of the way out */
    private static function star(): array
    {
        $corners = [];
        for ($corner = 0; $corner < 10; ++$corner) {
            $reach = $corner % 2 === 0 ? 500 : 200;
            $angle = deg2rad(36 * $corner);
            $corners[] = [(int) round(500 + $reach * sin($angle)), (int) round(500 - $reach * cos($angle))];
        }

        return $corners;
    }
}
