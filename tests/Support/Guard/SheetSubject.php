<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Guard;

use Random\Randomizer;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Output\Wiring;
use UpperPane\Core\Site\SurfaceSheet;

/** @extends PlainSubject<SurfaceSheet> */
final class SheetSubject extends PlainSubject
{
    public function begun(): SurfaceSheet
    {
        $shape = ['panels' => [['native' => [1920, 1080], 'active_mm' => [1200, 675]]]];

        return SurfaceSheet::fresh(['name' => 'Board', 'kind' => 'LCD', 'shape' => $shape], ['board-1' => 1]);
    }

    /** A list of players differs when one of them does, or their order. */
    public function place(array $path): ?array
    {
        return match ($path[0]) {
            'players' => null,
            'outputs' => ['outputs'],
            default => ['fields', $path[0]],
        };
    }

    public function command(Document $document, Randomizer $random, string $new): array
    {
        $whole = $random->getInt(...);
        $player = 'board-'.$whole(1, 4);

        return match ($whole(0, 5)) {
            0 => ['do' => 'player.add', 'player' => $player, 'outputs' => $whole(1, 4)],
            1 => ['do' => 'player.remove', 'player' => $player],
            2 => ['do' => 'player.outputs', 'player' => $player, 'outputs' => $whole(1, 6)],
            3 => [
                'do' => 'output.wire',
                'outputs' => $whole(0, 2) === 0
                    ? null
                    : Wiring::onePerOutput(
                        $document->surface,
                        $document->players === [] ? ['board-1' => 4] : $document->players,
                    )->toArray(),
            ],
            default => ['do' => 'field.set'] + self::field($whole),
        };
    }

    /**
     * @param \Closure(int, int): int $whole
     *
     * @return array{field: string, value: mixed}
     */
    private static function field(\Closure $whole): array
    {
        $field = SurfaceSheet::FIELDS[$whole(0, count(SurfaceSheet::FIELDS) - 1)];
        $panel = [
            'native' => [960 * $whole(1, 3), 540 * $whole(1, 3)],
            'active_mm' => [$whole(200, 2000), $whole(200, 2000)],
        ];

        return [
            'field' => $field,
            'value' => match ($field) {
                'name' => 'Board '.$whole(1, 99),
                'kind' => SurfaceSheet::KINDS[$whole(0, 2)],
                'shape' => $whole(0, 1) === 0
                    ? ['panels' => [$panel]]
                    : ['grid' => ['columns' => $whole(1, 3), 'rows' => $whole(1, 2), 'panel' => $panel]],
                'left_mm', 'floor_mm' => $whole(-2000, 9000),
                'viewing_mm' => [$whole(100, 4000), $whole(100, 30_000)],
                'safe_px' => [$whole(0, 90), $whole(0, 90), $whole(0, 90), $whole(0, 90)],
                'groups' => array_map(static fn (int $i) => "Group $i", range(1, $whole(1, 3))),
                'areas' => array_map(
                    static fn (int $i) => [
                        'name' => "Area $i",
                        'unit' => $whole(0, 1) === 0 ? 'px' : '%',
                        'rect' => [$whole(0, 20), $whole(0, 20), $whole(1, 80), $whole(1, 80)],
                    ],
                    range(1, $whole(1, 2)),
                ),
                'sound', 'touch', 'archived' => $whole(0, 1) === 1,
            },
        ];
    }
}
