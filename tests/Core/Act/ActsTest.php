<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Act;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use UpperPane\Core\Act\Act;
use UpperPane\Core\Act\ActKind;
use UpperPane\Core\Act\Acts;
use UpperPane\Core\Act\Target;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** Model §8: the last press counts, wherever it is aimed; acts end by themselves; what stands is renewed. */
final class ActsTest extends TestCase
{
    private const HOUR = 3_600_000;
    private const GROUP = 'g-12345678';

    public function testTheLastPressCountsWhereverItIsAimed(): void
    {
        $acts = Acts::of([
            self::standby('1', ['site'], 100),
            self::standby('2', ['surface:hall'], 300),
            self::standby('3', ['group:'.self::GROUP], 200),
        ]);
        $hall = Target::namesOf('hall-1', 'hall', [self::GROUP]);
        $gate = Target::namesOf('gate-1', 'gate', []);
        $at = static fn (array $names) => array_map(
            static fn (int $ms) => $acts->takeover($names, $ms)?->id[0],
            [99, 100, 200, 300],
        );

        self::assertSame([null, '1', '3', '2'], $at($hall));
        self::assertSame([null, '1', '1', '1'], $at($gate));
    }

    public function testItEndsByItselfOrWhenItIsClearedAndIsRenewedBefore(): void
    {
        $act = Act::make(Input::of(['act' => self::id('1'), 'kind' => 'standby', 'targets' => ['site']]), 1000);

        self::assertSame(1000 + 12 * self::HOUR, $act->untilMs);
        self::assertTrue($act->isInForce($act->untilMs - 1));
        self::assertFalse($act->isInForce($act->untilMs));
        self::assertNull($act->renewed($act->changesMs() - 1));
        self::assertSame(
            $act->changesMs() + 12 * self::HOUR,
            $act->renewed($act->changesMs())?->untilMs,
            'when somebody has to see to it, it is renewed',
        );
        $cleared = $act->cleared(5000)->cleared(6000);
        self::assertSame([true, false], [$cleared->isInForce(4999), $cleared->isInForce(5000)]);
        self::assertNull($cleared->renewed(5000 + 2 * self::HOUR), 'what was cleared stays so');
        self::assertSame(30_000, ActKind::Identify->lastsMs());
    }

    public function testPlayersReadWhoIsMeantWithoutKnowingGroups(): void
    {
        $players = [
            'hall-1' => Target::namesOf('hall-1', 'hall', [self::GROUP]),
            'hall-2' => Target::namesOf('hall-2', 'hall', [self::GROUP]),
            'gate-1' => Target::namesOf('gate-1', 'gate', []),
        ];
        $file = Acts::of([
            self::standby('1', ['group:'.self::GROUP], 100),
            self::standby('2', ['player:hall-2', 'surface:gate'], 200),
            self::standby('3', ['player:gone'], 250),
            self::standby('4', ['site'], 50)->cleared(299),
        ])->file(7, $players, 300);

        self::assertSame([7, ['2', '1']], [
            $file['number'],
            array_map(static fn (array $line) => $line['id'][0], $file['list']),
        ]);
        self::assertSame([['hall-2', 'gate-1'], ['hall-1', 'hall-2']], array_column($file['list'], 'players'));
    }

    #[TestWith(['document:0b0c1d00-0000-4000-8000-000000000005'])]
    #[TestWith(['surface:Hall'])]
    #[TestWith(['player:'])]
    #[TestWith([''])]
    public function testWhatIsNoTargetIsRefused(string $name): void
    {
        try {
            Target::read(Input::of($name));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame('act.target', $refusal->refusalCode);
        }
    }

    /** @param non-empty-list<string> $targets */
    private static function standby(string $sign, array $targets, int $fromMs): Act
    {
        return new Act(
            self::id($sign),
            ActKind::Standby,
            array_map(static fn (string $name) => Target::read(Input::of($name)), $targets),
            $fromMs,
            $fromMs + self::HOUR,
            false,
        );
    }

    private static function id(string $sign): string
    {
        return "{$sign}0000000-0000-4000-8000-000000000000";
    }
}
