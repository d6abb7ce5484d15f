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
    case Pentagon = 'pentagon';
    case Hexagon = 'hexagon';
    case Octagon = 'octagon';
    case Cross = 'cross';
    case Arrow = 'arrow';
    case Star = 'star';
    case Ribbon = 'ribbon';
    case Line = 'line';
    case Burst = 'burst';
    case Shield = 'shield';
    case Tag = 'tag';
    case Bubble = 'bubble';
    case Plaque = 'plaque';

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
            self::Pentagon => [[500, 0], [1000, 382], [809, 1000], [191, 1000], [0, 382]],
            self::Octagon => [
                ...[[293, 0], [707, 0], [1000, 293], [1000, 707]],
                ...[[707, 1000], [293, 1000], [0, 707], [0, 293]],
            ],
            self::Cross => [
                ...[[333, 0], [667, 0], [667, 333], [1000, 333], [1000, 667], [667, 667]],
                ...[[667, 1000], [333, 1000], [333, 667], [0, 667], [0, 333], [333, 333]],
            ],
            self::Hexagon => [[250, 0], [750, 0], [1000, 500], [750, 1000], [250, 1000], [0, 500]],
            self::Arrow => [[0, 250], [600, 250], [600, 0], [1000, 500], [600, 1000], [600, 750], [0, 750]],
            self::Star => self::star(5, 200),
            self::Burst => self::star(20, 425),
            self::Shield => [
                ...[[500, 0], [1000, 120], [1000, 520], [930, 700], [780, 860], [500, 1000]],
                ...[[220, 860], [70, 700], [0, 520], [0, 120]],
            ],
            self::Tag => [[0, 0], [780, 0], [1000, 500], [780, 1000], [0, 1000]],
            self::Bubble => [[0, 0], [1000, 0], [1000, 780], [380, 780], [180, 1000], [200, 780], [0, 780]],
            self::Plaque => [
                ...[[60, 0], [940, 0], [940, 130], [1000, 130], [1000, 870], [940, 870]],
                ...[[940, 1000], [60, 1000], [60, 870], [0, 870], [0, 130], [60, 130]],
            ],
            self::Ribbon => [[0, 0], [1000, 0], [900, 500], [1000, 1000], [0, 1000], [100, 500]],
            self::Line => [[0, 400], [1000, 400], [1000, 600], [0, 600]],
        };
    }

    /**
     * The room for letters in it, as x, y, width and height in thousandths of the box.
     *
     * @return array{int, int, int, int}
     */
    public function room(): array
    {
        return match ($this) {
            self::Rectangle, self::Line => [40, 40, 920, 920],
            self::Ellipse, self::Octagon => [147, 147, 706, 706],
            self::Triangle => [280, 520, 440, 440],
            self::Diamond => [250, 250, 500, 500],
            self::Pentagon => [190, 290, 620, 620],
            self::Hexagon => [170, 170, 660, 660],
            self::Cross => [40, 345, 920, 310],
            self::Arrow => [40, 270, 760, 460],
            self::Star => [310, 350, 380, 330],
            self::Ribbon => [130, 80, 740, 840],
            self::Burst => [200, 200, 600, 600],
            self::Shield => [110, 150, 780, 530],
            self::Tag => [60, 80, 740, 840],
            self::Bubble => [50, 60, 900, 660],
            self::Plaque => [90, 140, 820, 720],
        };
    }

    /**
     * @param int $inner how far out the inner corners lie, of 500
     *
     * @return list<array{int, int}>
     */
    private static function star(int $points, int $inner): array
    {
        $corners = [];
        for ($corner = 0; $corner < 2 * $points; ++$corner) {
            $reach = $corner % 2 === 0 ? 500 : $inner;
            $angle = deg2rad(180 * $corner / $points);
            $corners[] = [(int) round(500 + $reach * sin($angle)), (int) round(500 - $reach * cos($angle))];
        }

        return $corners;
    }
}
