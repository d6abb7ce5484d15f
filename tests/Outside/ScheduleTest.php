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

/** Random rules of every frequency, expanded by Debian's python3-dateutil and by npm's rrule-temporal. */
final class ScheduleTest extends TestCase
{
    private const RULES = 150;

    /** @var list<array{start: string, rule: string, from: string, until: string, found: list<string>}> */
    private static array $cases;

    public static function setUpBeforeClass(): void
    {
        $count = (int) (getenv('RULES') ?: self::RULES);
        $python = new Process(['/usr/bin/python3', __DIR__.'/rules.py', '5545', (string) $count], timeout: null);
        self::$cases = json_decode($python->mustRun()->getOutput(), true, flags: \JSON_THROW_ON_ERROR);
        self::assertCount($count, self::$cases);
    }

    public function testRulesComeWhenDateutilSaysSo(): void
    {
        self::assertSame([], self::wrong(array_column(self::$cases, 'found'), static fn () => true));
    }

    /**
     * But for yearly rules with weeks or with two kinds of days: what limits the other by RFC 5545 §3.3.10's table adds
     * to it there, unlike in dateutil and here.
     */
    public function testRulesComeWhenRruleTemporalSaysSo(): void
    {
        $node = new Process(['node', __DIR__.'/rules.mjs'], timeout: null);
        $node->setInput(json_encode(self::$cases, \JSON_THROW_ON_ERROR))->mustRun();
        $counts = static fn (string $rule): bool => !str_contains($rule, 'YEARLY')
            || (!str_contains($rule, 'BYWEEKNO') && preg_match_all('/BY(YEARDAY|MONTHDAY|DAY)=/', $rule) < 2);

        self::assertSame([], self::wrong(json_decode($node->getOutput(), true, flags: \JSON_THROW_ON_ERROR), $counts));
    }

    /**
     * @param list<list<string>>     $found  civil dates of each case
     * @param callable(string): bool $counts whether a rule is looked at
     *
     * @return list<string>
     */
    private static function wrong(array $found, callable $counts): array
    {
        $wrong = [];
        foreach (self::$cases as $index => $case) {
            $ours = $counts($case['rule']) ? self::ours($case) : $found[$index];
            if ($ours !== $found[$index]) {
                $wrong[] = "$case[rule] from $case[start], asked from $case[from] to $case[until]: "
                    .(is_string($ours) ? $ours : implode(' ', array_slice([
                        ...array_diff($ours, $found[$index]), '|', ...array_diff($found[$index], $ours),
                    ], 0, 12)));
            }
        }

        return $wrong;
    }

    /**
     * @param array{start: string, rule: string, from: string, until: string} $case
     *
     * @return list<string>|string the first 120; why it was refused
     */
    private static function ours(array $case): array|string
    {
        try {
            $recurrence = Recurrence::parse(Input::of(['start' => $case['start'], 'rrule' => $case['rule']]));
        } catch (Refusal $refusal) {
            return $refusal->getMessage().' '.$refusal->mend();
        }
        $ours = [];
        $zone = new ZoneTime(new \DateTimeZone('UTC'));
        foreach ($recurrence->between(self::second($case['from']), self::second($case['until']), $zone) as $at) {
            $ours[] = gmdate('Y-m-d\TH:i:s', $at);
            if (count($ours) === 120) {
                break;
            }
        }

        return $ours;
    }

    private static function second(string $civil): int
    {
        return Instant::parse(Input::of($civil.'Z'));
    }
}
