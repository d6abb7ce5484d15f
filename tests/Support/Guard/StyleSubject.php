<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Guard;

use Random\Randomizer;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Style\HouseStyle;

/** @extends PlainSubject<HouseStyle> */
final class StyleSubject extends PlainSubject
{
    public function begun(): HouseStyle
    {
        return HouseStyle::fresh('Harbour');
    }

    public function command(Document $document, Randomizer $random, string $new): array
    {
        $whole = $random->getInt(...);
        $takesAway = $whole(0, 3) === 0;
        $name = 'Named '.$whole(1, 9);
        [$what, $value] = match ($whole(0, 4)) {
            0 => ['name', $name],
            1 => ['mark', [
                'media' => 'pic'.$whole(1, 3),
                'corner' => ['top-left', 'bottom-right'][$whole(0, 1)],
                'width' => $whole(10, 30),
                'margin' => $whole(0, 9),
            ]],
            2 => ['colour', ['name' => $name, 'hex' => sprintf('#%06x', $whole(0, 0xFFFFFF))]],
            3 => ['space', ['name' => $name, 'px' => $whole(0, 90)]],
            default => ['type', [
                'name' => $name,
                'font' => 'Lato',
                'weight' => 400,
                'size' => $whole(10, 14),
                'line_height' => 0,
            ]],
        };

        return ['do' => "style.$what"] +
            (in_array($what, ['name', 'mark'], true) ? [] : ['id' => 'n'.$whole(1, 5)]) +
            [$what => $takesAway && $what !== 'name' ? null : $value];
    }
}
