<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

use UpperPane\Core\Geometry\Rational;

/**
 * Entries that follow one another and begin again. With an interleave, one entry of a second list comes after every N
 * of the first, both pointers going on across loops (model §6).
 */
final readonly class Playlist
{
    public const LONGEST_SEQUENCE = 10_000;

    /** @var list<int> */
    private array $starts;

    /** @var list<int> */
    private array $interleavedStarts;

    /**
     * @param list<array{id: string, ms: int}> $entries     enabled ones
     * @param list<array{id: string, ms: int}> $interleaved enabled ones
     */
    private function __construct(private array $entries, private array $interleaved, private int $after)
    {
        $this->starts = self::starts($entries);
        $this->interleavedStarts = self::starts($interleaved);
    }

    /**
     * @param list<array{id: string, ms: int}> $entries     enabled ones, ms ≥ 1
     * @param list<array{id: string, ms: int}> $interleaved
     * @param int                              $after       one of the second after so many of the first, ≥ 1
     */
    public static function of(array $entries, array $interleaved = [], int $after = 1): self
    {
        return new self($entries, $entries === [] ? [] : $interleaved, $after);
    }

    /** The first list alone, in ms. */
    public function cycleMs(): int
    {
        return $this->starts[count($this->entries)];
    }

    /** How many entries until both lists repeat together. */
    public function periodEntries(): int
    {
        $first = count($this->entries);
        $second = count($this->interleaved);
        if ($first === 0 || $second === 0) {
            return $first;
        }
        $round = Cycles::lcm($first, $this->after);
        $inserted = intdiv($round, $this->after);
        $rounds = intdiv(Cycles::lcm($inserted, $second), $inserted);

        return Rational::product($rounds, $round + $inserted);
    }

    /** Until both lists repeat together, in ms; null beyond 64 bits (292 million years). */
    // @phpstan-ignore return.unusedType (PHP turns an overflow into a float)
    public function periodMs(): ?int
    {
        $first = count($this->entries);
        $second = count($this->interleaved);
        if ($first === 0 || $second === 0) {
            return $this->cycleMs();
        }
        $perLoop = $this->after + 1;
        $inserted = intdiv($this->periodEntries(), $perLoop);

        $period =
            intdiv($inserted * $this->after, $first) * $this->cycleMs() +
            intdiv($inserted, $second) * $this->interleavedStarts[$second];

        return is_int($period) ? $period : null;
    }

    /** @return list<string> ids of one period, at most {@see LONGEST_SEQUENCE} */
    public function sequence(): array
    {
        return array_column($this->steps(), 'id');
    }

    /**
     * What shows t ms after the start; an entry holds from its start up to, not including, its end.
     *
     * @return array{entry: ?string, since_ms: int, left_ms: int}
     */
    public function at(int $tMs): array
    {
        $now = $this->stepAt($tMs);

        return $now === null
            ? ['entry' => null, 'since_ms' => 0, 'left_ms' => 0]
            : ['entry' => $this->idAt($now['step']), 'since_ms' => $now['since_ms'], 'left_ms' => $now['left_ms']];
    }

    /**
     * Which step has begun t ms after the start, counted on from period to period.
     *
     * @return ?array{step: int, since_ms: int, left_ms: int} null: it has no entries
     */
    public function stepAt(int $tMs): ?array
    {
        $period = $this->periodMs();
        if ($period === 0) {
            return null;
        }
        $left = $period === null ? $tMs : $tMs % $period;
        // The last step that has begun, found by halving: every step lasts 1 ms at least.
        [$low, $high] = [0, min($left, $this->periodEntries() - 1)];
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            [$low, $high] = $this->startMs($middle) <= $left ? [$middle, $high] : [$low, $middle - 1];
        }
        $since = $left - (int) $this->startMs($low);
        $before = $period === null ? 0 : intdiv($tMs, $period) * $this->periodEntries();

        return ['step' => $before + $low, 'since_ms' => $since, 'left_ms' => $this->step($low)['ms'] - $since];
    }

    /** The entry of a step, also beyond the first period. */
    public function idAt(int $step): string
    {
        return $this->step($step)['id'];
    }

    /** @return list<array{id: string, ms: int}> the steps of one period, at most {@see LONGEST_SEQUENCE} */
    public function steps(): array
    {
        $steps = [];
        for ($step = 0, $count = min($this->periodEntries(), self::LONGEST_SEQUENCE); $step < $count; ++$step) {
            $steps[] = $this->step($step);
        }

        return $steps;
    }

    /**
     * When a step begins: whole rounds of both lists, and what is begun of them. Beyond 64 bits, where only comparing
     * comes, it is a float.
     */
    private function startMs(int $step): int|float
    {
        if ($this->interleaved === []) {
            return self::begun($this->entries, $this->starts, $step);
        }
        $rounds = intdiv($step, $this->after + 1);
        $own = $rounds * $this->after + ($step % ($this->after + 1));

        return self::begun($this->entries, $this->starts, $own) +
            self::begun($this->interleaved, $this->interleavedStarts, $rounds);
    }

    /**
     * @param list<array{id: string, ms: int}> $entries
     * @param list<int>                        $starts  of each in one round, and the round's end
     */
    // @phpstan-ignore return.unusedType (PHP turns an overflow into a float)
    private static function begun(array $entries, array $starts, int $count): int|float
    {
        $length = count($entries);

        return intdiv($count, $length) * $starts[$length] + $starts[$count % $length];
    }

    /**
     * @param list<array{id: string, ms: int}> $entries
     *
     * @return list<int>
     */
    private static function starts(array $entries): array
    {
        $starts = [0];
        foreach ($entries as $index => $entry) {
            $starts[] = Rational::sum($starts[$index], $entry['ms']);
        }

        return $starts;
    }

    /** @return array{id: string, ms: int} */
    private function step(int $step): array
    {
        if ($this->interleaved === []) {
            return $this->entries[$step % count($this->entries)];
        }
        $perLoop = $this->after + 1;
        $round = intdiv($step, $perLoop);
        $place = $step % $perLoop;

        return $place === $this->after
            ? $this->interleaved[$round % count($this->interleaved)]
            : $this->entries[($round * $this->after + $place) % count($this->entries)];
    }
}
