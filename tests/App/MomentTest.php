<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\Demo\TodayAtTheCafe;

/** What a design shows at an instant, and why: after a start, at a civil time, when the clocks change. */
final class MomentTest extends ApiCase
{
    private const MOMENT = '/api/designs/'.TodayAtTheCafe::ID.'/moment';

    public function testNamesWhatEveryZoneShowsAndWhy(): void
    {
        $this->signIn();
        // Pictures of 8, 6 and 7 s: 2:13:07 is 380 passes of 21 s, and 7 s.
        $zones = array_column($this->call('GET', self::MOMENT.'?t_ms=7987000')['zones'], null, 'letter');
        self::assertSame(['e1', 7000, 1000, 'turn'], self::said($zones['A']));
        self::assertSame(['e1', 7000, 1000, 'step'], self::said($zones['C']));
        self::assertSame($zones['A']['zone'], $zones['C']['leader']);
        self::assertSame(['e3', 0, 3500, 'turn'], self::said($zones['B']), 'one between after two others');
    }

    /** London's clocks go forward at 01:00 on 28 March 2027: 07:00 is six hours after midnight. */
    public function testADayBeginsAtItsMidnight(): void
    {
        $this->signIn();
        $moment = $this->call('GET', self::MOMENT.'?at=2027-03-28T07:00');
        self::assertSame(
            ['2027-03-28T07:00:00', 6 * 3_600_000, 1_806_213_600_000],
            [$moment['at'], $moment['t_ms'], $moment['at_ms']],
        );
        self::assertSame(
            [$moment['at_ms'], 3_600_000],
            [$moment['plan']['dates']['now_ms'], $moment['plan']['dates']['offsets'][1]['offset_s'] * 1000],
        );
        self::assertSame($moment['zones'], $this->call('GET', self::MOMENT.'?at_ms='.$moment['at_ms'])['zones']);
    }

    public function testRefusesWhatIsNoTime(): void
    {
        $this->signIn();
        $wrong = ['t_ms=soon' => 'moment.time', 't_ms=-5' => 'moment.time', 'at=2027-02-30T07:00' => 'time.civil'];
        foreach ($wrong as $asked => $code) {
            self::assertSame($code, $this->call('GET', self::MOMENT."?$asked", status: 422)['code']);
        }
    }

    /**
     * @param array<string, mixed> $zone
     *
     * @return array<int, mixed>
     */
    private static function said(array $zone): array
    {
        return [$zone['entry'], $zone['since_ms'], $zone['left_ms'], $zone['why']];
    }
}
