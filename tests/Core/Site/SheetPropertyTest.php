<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Site;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Change\Outcome;
use UpperPane\Core\Site\SurfaceKind;
use UpperPane\Core\Site\SurfaceSheet;

/** What holds for a sheet whatever is done to it; its commands are guarded in tests/Core/Change. */
final class SheetPropertyTest extends TestCase
{
    /** Without an output map the players' order decides it: what one of them has does not move another's panels. */
    public function testAWallIsNotRewiredInSilence(): void
    {
        $panel = ['native' => [1920, 1080], 'active_mm' => [1200, 675]];
        $grid = ['grid' => ['columns' => 3, 'rows' => 1, 'panel' => $panel]];
        $wall = SurfaceSheet::fresh(['name' => 'Wall', 'kind' => 'LCD', 'shape' => $grid], ['w-9' => 1, 'w-2' => 2]);
        $feeds = static fn (SurfaceSheet $sheet): array => array_map(
            static fn ($output) => $output->name(),
            $sheet->outputMap()->outputs,
        );
        $first = $feeds($wall)[0];
        foreach ([
            ['do' => 'player.outputs', 'player' => 'w-2', 'outputs' => 3],
            ['do' => 'player.remove', 'player' => 'w-9'],
            ['do' => 'player.add', 'player' => 'w-1', 'outputs' => 1],
        ] as $command) {
            $changed = self::tried($wall, $command) ?? self::fail($command['do']);
            $command['do'] === 'player.remove' || self::assertSame($first, $feeds($changed->after)[0], $command['do']);
            self::assertSame($feeds($wall), $feeds($changed->inverse->apply($changed->after)->after), $command['do']);
        }
    }

    /**
     * @param array<string, mixed> $command
     *
     * @return ?Outcome<SurfaceSheet>
     */
    private static function tried(SurfaceSheet $sheet, array $command): ?Outcome
    {
        try {
            return Batch::parse(Input::of([self::plain($command)]), new SurfaceKind())->apply($sheet);
        } catch (Refusal) {
            return null;
        }
    }

    /**
     * @param array<array-key, mixed> $value
     *
     * @return array<array-key, mixed>
     */
    private static function plain(array $value): array
    {
        return json_decode((string) json_encode($value), true);
    }
}
