<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

use UpperPane\Core\Geometry\Rational;

/**
 * Zones that step with one that leads (model §6): its entries are the steps, the followers' own durations are not used.
 * With fewer or more entries than the leader a follower wraps round, holds its last one, or shows nothing.
 */
final readonly class Sync
{
    public const LONGEST = 10_000;

    /**
     * @param list<int>          $leader    durations in ms, each ≥ 1
     * @param array<string, int> $followers how many entries each has
     */
    private function __construct(private array $leader, private array $followers, private Unequal $unequal)
    {
    }

    /**
     * @param list<int>          $leader    durations in ms, each ≥ 1
     * @param array<string, int> $followers how many entries each has
     */
    public static function of(array $leader, array $followers, Unequal $unequal): self
    {
        return new self($leader, $followers, $unequal);
    }

    /** Until all repeat together: in steps. */
    public function periodSteps(): int
    {
        $steps = count($this->leader);
        foreach ($this->unequal === Unequal::Wrap && $steps > 0 ? $this->followers : [] as $count) {
            $steps = $count === 0 ? $steps : Cycles::lcm($steps, $count);
        }

        return $steps;
    }

    /** The leader's cycle × the loops until all repeat together, in ms. */
    public function cycleMs(): int
    {
        $count = count($this->leader);

        return $count === 0
            ? 0
            : Rational::product($this->leaderMs(), intdiv($this->periodSteps(), $count));
    }

    /** Which entry of a follower stands at a step; null where it shows nothing. */
    public function entryAt(string $follower, int $step): ?int
    {
        return $this->unequal->entryAt($step, $this->followers[$follower], count($this->leader));
    }

    /**
     * One joint cycle, at most {@see LONGEST} steps.
     *
     * @return list<array{at_ms: int, leader: int, followers: array<string, ?int>}>
     */
    public function steps(): array
    {
        $steps = [];
        $atMs = 0;
        for ($step = 0, $most = min($this->periodSteps(), self::LONGEST); $step < $most; ++$step) {
            $leader = $step % count($this->leader);
            $followers = [];
            foreach (array_keys($this->followers) as $name) {
                $followers[$name] = $this->entryAt((string) $name, $step);
            }
            $steps[] = ['at_ms' => $atMs, 'leader' => $leader, 'followers' => $followers];
            $atMs = Rational::sum($atMs, $this->leader[$leader]);
        }

        return $steps;
    }

    /**
     * The entries that no step reaches.
     *
     * @return list<array{follower: string, entry: int}>
     */
    public function neverShown(): array
    {
        $reached = $this->unequal === Unequal::Wrap && $this->leader !== [] ? \PHP_INT_MAX : count($this->leader);
        $never = [];
        foreach ($this->followers as $name => $count) {
            for ($entry = $reached; $entry < $count; ++$entry) {
                $never[] = ['follower' => (string) $name, 'entry' => $entry];
            }
        }

        return $never;
    }

    private function leaderMs(): int
    {
        return array_reduce($this->leader, Rational::sum(...), 0);
    }
}
