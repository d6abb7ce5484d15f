<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Site;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Change\Outcome;
use UpperPane\Core\Output\Wiring;
use UpperPane\Core\Site\SurfaceKind;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Tests\Support\Declared;

/** What holds for every command on a surface's sheet, tried with random sequences of all of them. */
final class SheetPropertyTest extends TestCase
{
    private Randomizer $random;

    /** Apply → store → read → invert gives the same canonical bytes, and redo gives those after it. */
    public function testEveryCommandIsTakenBackAndDoneAgainThroughTheStore(): void
    {
        $kind = new SurfaceKind();
        $done = [];
        foreach ([1, 2, 3] as $seed) {
            $this->random = new Randomizer(new Mt19937($seed));
            $sheet = self::sheet();
            for ($step = 0; $step < 250; ++$step) {
                $command = $this->command($sheet);
                $outcome = self::tried($sheet, $command);
                if ($outcome === null) {
                    continue;
                }
                $said = (string) json_encode($command);
                $done[$command['do']] = true;
                $stored = $kind->stored($kind->parts($outcome->after, $sheet));
                self::assertSame(self::bytes($outcome->after), self::bytes($stored), "stored: $said");
                $inverse = Batch::parse(Input::of(self::plain($outcome->inverse->toArray())), $kind);
                $back = $inverse->apply($stored);
                self::assertSame(self::bytes($sheet), self::bytes($back->after), "inverse: $said");
                self::assertSame([], Declared::beyond($sheet, $outcome, self::place(...)), "writes: $said");
                self::assertSame([], Declared::beyond($stored, $back, self::place(...)), "inverse writes: $said");
                $again = $back->inverse->apply($back->after)->after;
                self::assertSame(self::bytes($outcome->after), self::bytes($again), "redo: $said");
                $sheet = $outcome->after;
            }
        }
        ksort($done);
        self::assertSame(
            ['field.set', 'output.wire', 'player.add', 'player.outputs', 'player.remove'],
            array_keys($done),
        );
    }

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

    /** Two batches whose scopes do not meet commute, and neither makes the other impossible. */
    public function testWhatDoesNotMeetCommutes(): void
    {
        $tried = 0;
        $this->random = new Randomizer(new Mt19937(9));
        $sheet = self::sheet();
        for ($step = 0; $step < 500; ++$step) {
            [$a, $b] = [$this->command($sheet), $this->command($sheet)];
            [$one, $other] = [self::tried($sheet, $a), self::tried($sheet, $b)];
            if (
                $one !== null
                && $other !== null
                && !$one->writes->meets($other->touched())
                && !$other->writes->meets($one->touched())
            ) {
                $said = (string) json_encode([$a, $b]);
                $ab = self::tried($one->after, $b);
                $ba = self::tried($other->after, $a);
                self::assertNotNull($ab, "second refused: $said");
                self::assertNotNull($ba, "first refused: $said");
                self::assertSame(self::bytes($ab->after), self::bytes($ba->after), $said);
                ++$tried;
            }
            $sheet = $one->after ?? $sheet;
        }
        self::assertGreaterThan(100, $tried);
    }

    /**
     * @param list<string> $path
     *
     * @return ?list<string> a list of players differs when one of them does, or their order
     */
    private static function place(array $path): ?array
    {
        return match ($path[0]) {
            'players' => null,
            'outputs' => ['outputs'],
            default => ['fields', $path[0]],
        };
    }

    private static function sheet(): SurfaceSheet
    {
        $shape = ['panels' => [['native' => [1920, 1080], 'active_mm' => [1200, 675]]]];

        return SurfaceSheet::fresh(['name' => 'Board', 'kind' => 'LCD', 'shape' => $shape], ['board-1' => 1]);
    }

    /** @return array{do: string, ...} one that may be refused, on what is there and what is not */
    private function command(SurfaceSheet $sheet): array
    {
        $whole = fn (int $least, int $most): int => $this->random->getInt($least, $most);
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
                            $sheet->surface,
                            $sheet->players === [] ? ['board-1' => 4] : $sheet->players,
                        )->toArray(),
            ],
            default => ['do' => 'field.set'] + $this->field($whole),
        };
    }

    /**
     * @param \Closure(int, int): int $whole
     *
     * @return array{field: string, value: mixed}
     */
    private function field(\Closure $whole): array
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
                    fn (int $i) => [
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

    private static function bytes(SurfaceSheet $sheet): string
    {
        return CanonicalJson::encode(self::plain($sheet->toArray()));
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
