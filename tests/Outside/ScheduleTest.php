<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Schedule\Instant;
use UpperPane\Core\Schedule\Recurrence;
use UpperPane\Core\Schedule\ZoneTime;

/** Random rules of every frequency, expanded by Debian's python3-dateutil (tests/Outside/rules.py). */
final class ScheduleTest extends TestCase
{
    private const RULES = 150;

    public function testRulesComeWhenDateutilSaysSo(): void
    {
        $count = (int) (getenv('RULES') ?: self::RULES);
        $python = new Process(['/usr/bin/python3', __DIR__.'/rules.py', '5545', (string) $count], timeout: null);
        $cases = json_decode($python->mustRun()->getOutput(), true, flags: \JSON_THROW_ON_ERROR);
        self::assertCount($count, $cases);
        $zone = new ZoneTime(new \DateTimeZone('UTC'));
        $wrong = [];
        foreach ($cases as $case) {
            ['start' => $start, 'rule' => $rule, 'from' => $from, 'until' => $until, 'found' => $found] = $case;
            try {
                $recurrence = Recurrence::parse(Input::of(['start' => $start, 'rrule' => $rule]));
            } catch (Refusal $refusal) {
                $wrong[] = "$rule from $start: {$refusal->getMessage()} {$refusal->mend()}";
                continue;
            }
            $ours = [];
            foreach ($recurrence->between(self::second($from), self::second($until), $zone) as $at) {
                $ours[] = gmdate('Y-m-d\TH:i:s', $at);
                if (count($ours) === 120) {
                    break;
                }
            }
            if ($ours !== $found) {
                $wrong[] = "$rule from $start, asked from $from to $until: ".implode(' ', array_slice([
                    ...array_diff($ours, $found), '|', ...array_diff($found, $ours),
                ], 0, 12));
            }
        }

        self::assertSame([], $wrong);
    }

    private static function second(string $civil): int
    {
        return Instant::parse(Input::of($civil.'Z'));
    }
}
