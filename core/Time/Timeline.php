<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/**
 * What changes with time (model §6, §11): sorted steps, each holding from its instant up to, not including, the next
 * one's. Null holds nothing: before the first step, and where a step says so. Looked up by halving, merged by rank.
 * Neighbours that hold the same are one step.
 *
 * @template T
 */
final readonly class Timeline
{
    /**
     * Two lists side by side: an almanac holds a million steps.
     *
     * @param list<int> $from   rising
     * @param list<T>   $values none equal to the one before
     */
    private function __construct(private array $from, private array $values)
    {
    }

    /**
     * @template V
     *
     * @param list<array{from_ms: int, value: V}> $steps in any order; of two at one instant the later one counts
     *
     * @return self<V>
     */
    public static function of(array $steps): self
    {
        $sorted = [];
        foreach ($steps as $step) {
            $sorted[$step['from_ms']] = $step;
        }
        ksort($sorted);
        $from = $values = [];
        $held = null;
        foreach ($sorted as $at => $step) {
            if ($step['value'] !== $held) {
                $from[] = $at;
                $values[] = $held = $step['value'];
            }
        }

        return new self($from, $values);
    }

    /**
     * Stretches that do not touch each other's inside, such as windows: nothing holds between them.
     *
     * @template V
     *
     * @param list<array{from_ms: int, until_ms: ?int, value: V}> $stretches sorted; null: open
     *
     * @return self<V|null>
     */
    public static function ofStretches(array $stretches): self
    {
        $steps = [];
        foreach ($stretches as ['from_ms' => $from, 'until_ms' => $until, 'value' => $value]) {
            $steps[] = ['from_ms' => $from, 'value' => $value];
            if ($until !== null) {
                $steps[] = ['from_ms' => $until, 'value' => null];
            }
        }

        return self::of($steps);
    }

    /** @return ?T */
    public function at(int $atMs): mixed
    {
        return $this->values[$this->index($atMs)] ?? null;
    }

    /** Since when what holds at an instant has held; null before the first step. */
    public function since(int $atMs): ?int
    {
        return $this->from[$this->index($atMs)] ?? null;
    }

    /** The next instant behind this one at which something else holds; null when none comes. */
    public function next(int $atMs): ?int
    {
        return $this->from[$this->index($atMs) + 1] ?? null;
    }

    /**
     * What holds from one instant up to, not including, another, and nothing outside of that.
     *
     * @return self<T|null>
     */
    public function cut(int $fromMs, int $untilMs): self
    {
        $steps = [['from_ms' => $fromMs, 'value' => $fromMs < $untilMs ? $this->at($fromMs) : null]];
        for ($index = $this->index($fromMs) + 1; ($this->from[$index] ?? $untilMs) < $untilMs; ++$index) {
            $steps[] = ['from_ms' => $this->from[$index], 'value' => $this->values[$index]];
        }

        return self::of([...$steps, ['from_ms' => $untilMs, 'value' => null]]);
    }

    /**
     * Of several, at every instant that of the highest rank which holds something.
     *
     * @template V
     *
     * @param list<self<V>> $ranks the highest first
     *
     * @return self<V|null>
     */
    public static function ranked(array $ranks): self
    {
        $instants = [];
        foreach ($ranks as $rank => $timeline) {
            foreach ($timeline->steps() as $step) {
                $instants[$step['from_ms']][$rank] = $step['value'];
            }
        }
        ksort($instants);
        /** @var array<int, V> $holding by rank; those that hold nothing are left out */
        $holding = [];
        $steps = [];
        foreach ($instants as $fromMs => $changes) {
            foreach ($changes as $rank => $value) {
                if ($value === null) {
                    unset($holding[$rank]);
                } else {
                    $holding[$rank] = $value;
                }
            }
            $steps[] = ['from_ms' => $fromMs, 'value' => $holding === [] ? null : $holding[min(array_keys($holding))]];
        }

        return self::of($steps);
    }

    /** @return list<array{from_ms: int, value: T}> in rising order */
    public function steps(): array
    {
        return array_map(
            static fn (int $from, mixed $value) => ['from_ms' => $from, 'value' => $value],
            $this->from,
            $this->values,
        );
    }

    /** @return list<int> when its steps begin, rising */
    public function from(): array
    {
        return $this->from;
    }

    /** @return list<T> what its steps hold */
    public function values(): array
    {
        return $this->values;
    }

    /** Of the last step that has begun, found by halving; −1 before the first. */
    private function index(int $atMs): int
    {
        [$low, $high] = [0, count($this->from)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $this->from[$middle] <= $atMs ? [$middle + 1, $high] : [$low, $middle];
        }

        return $low - 1;
    }
}
