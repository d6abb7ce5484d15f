<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Handoff;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Handoff\Heard;
use UpperPane\Core\Handoff\OnAir;
use UpperPane\Core\Handoff\PlayerState;
use UpperPane\Core\Handoff\Proof;
use UpperPane\Core\Handoff\Stretch;
use UpperPane\Core\Plan\PlanRef;
use UpperPane\Core\Plan\Programme;

/** Model §11: only confirmed, denied and silent stretches are stored; what was on air is computed from them. */
final class OnAirTest extends TestCase
{
    private const ACT = '10000000-0000-4000-8000-000000000000';

    /** Stretches stand one behind the other, and as many proofs as may come that say the same are one. */
    public function testProofsBecomeStretches(): void
    {
        $heard = [];
        $hear = static function (int $second, bool $proven, string $said, ?string $act = null) use (&$heard): void {
            $last = array_pop($heard);
            $heard = [...$heard, ...Stretch::after($last, $proven, self::proof($said, $act), 1000 * $second)];
        };
        foreach (range(0, 600, 60) as $second) {
            $hear($second, true, 'a');
        }
        $hear(610, true, 'a', self::ACT);
        $hear(640, true, 'a');
        $hear(700, false, 'a');
        $hear(760, true, 'b');
        $hear(760 + 150, true, 'b');
        $hear(910 + 151, true, 'b');

        self::assertSame([
            [0, 610, 'confirmed', 'a', false],
            [610, 640, 'confirmed', 'a', true],
            [640, 700, 'confirmed', 'a', false],
            [700, 760, 'denied', 'a', false],
            [760, 910, 'confirmed', 'b', false],
            [910, 1061, 'silent', '', false],
            [1061, 1061, 'confirmed', 'b', false],
        ], array_map(static fn (Stretch $stretch) => [
            intdiv($stretch->fromMs, 1000),
            intdiv($stretch->untilMs, 1000),
            $stretch->heard->value,
            (string) $stretch->programme === '' ? '' : $stretch->programme[0],
            $stretch->act !== null,
        ], $heard));
    }

    /** The server's clock is set back by a day: what is told from then on is on air, not what was told of tomorrow. */
    public function testAClockThatIsSetBackHidesNothing(): void
    {
        $heard = [];
        foreach ([0, 60, 86_460, 86_520, 300, 360] as $second) {
            $last = array_pop($heard);
            $heard = [...$heard, ...Stretch::after($last, true, self::proof('a', null), 1000 * $second)];
        }
        $lines = OnAir::of($heard, static fn () => null, 0, 400_000);

        self::assertSame(
            [[0, 60, 'confirmed'], [60, 300, 'silent'], [300, 400, 'confirmed']],
            array_map(static fn (array $line) => [
                intdiv($line['from_ms'], 1000),
                intdiv($line['until_ms'], 1000),
                $line['heard'],
            ], $lines),
        );
    }

    /** From 100 s on the release; before it, and while an act takes the surface, its standby. */
    public function testWhatWasOnAirIsComputed(): void
    {
        $ref = static fn (?int $release, string $name, int $number) => new PlanRef(
            $release,
            $number,
            $name,
            str_repeat('c', 64),
            '/',
        );
        $programme = Programme::ofRelease('hall', 1, $ref(7, 'Menu', 3), $ref(null, 'Hall', 0), 100_000, null, 0);
        $now = 500_000;
        $lines = OnAir::of(
            [
                new Stretch(40_000, 300_000, Heard::Confirmed, str_repeat('a', 64)),
                new Stretch(300_000, 320_000, Heard::Confirmed, str_repeat('a', 64), self::ACT),
                new Stretch(320_000, 330_000, Heard::Denied, str_repeat('a', 64)),
                new Stretch(330_000, $now - PlayerState::SILENT_AFTER_MS, Heard::Confirmed, str_repeat('a', 64)),
            ],
            static fn (string $sha256) => $sha256 === str_repeat('a', 64) ? $programme : null,
            50_000,
            $now,
        );
        $said = static fn (array $line) => [
            $line['from_ms'] / 1000,
            $line['until_ms'] / 1000,
            "$line[heard] $line[name] $line[number]",
        ];

        self::assertSame([
            [50, 100, 'confirmed Hall 0'],
            [100, 300, 'confirmed Menu 3'],
            [300, 320, 'confirmed Hall 0'],
            [320, 330, 'denied  '],
            [330, 500, 'confirmed Menu 3'],
        ], array_map($said, $lines));
        $silent = OnAir::of([new Stretch(0, 1, Heard::Confirmed, null)], static fn () => null, 0, 150_002);
        self::assertSame([[0, 1], [1, 150_002]], array_map(
            static fn (array $line) => [$line['from_ms'], $line['until_ms']],
            $silent,
        ));
        self::assertSame(['confirmed', 'silent'], array_column($silent, 'heard'));
    }

    private static function proof(string $programme, ?string $act): Proof
    {
        return Proof::parse(Input::of([
            'release' => 7,
            'at_ms' => 0,
            'offset_ms' => 0,
            'stepped' => false,
            'zones' => [],
            'programme' => str_repeat($programme, 64),
        ] + ($act === null ? [] : ['act' => $act])));
    }
}
