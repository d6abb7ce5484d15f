<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

use UpperPane\Core\Geometry\Rational;

/**
 * Pieces of time that follow one another and begin again: scenes of a round, entries of a list (model §6). A piece
 * holds from its start up to, not including, its end; one without a length never ends, so nothing after it is ever
 * shown. The one place where a phase becomes a piece; the browser's own (`plan/phase.ts`) is held to the same cases.
 */
final readonly class Pieces
{
    /**
     * @param list<int> $starts in ms from the beginning, rising: of each piece up to the endless one, if there is one
     * @param ?int      $cycle  in ms; null when one never ends
     */
    private function __construct(private array $starts, private ?int $cycle)
    {
    }

    /** @param list<?int> $lengths in ms, each ≥ 1; null never ends */
    public static function of(array $lengths): self
    {
        $starts = [];
        $end = 0;
        foreach ($lengths as $ms) {
            $starts[] = $end;
            if ($ms === null) {
                return new self($starts, null);
            }
            $end = Rational::sum($end, $ms);
        }

        return new self($starts, $end);
    }

    /** In ms; null when a piece never ends, 0 when there are none. */
    public function cycleMs(): ?int
    {
        return $this->cycle;
    }

    /**
     * Which piece shows t ms after they began (also before: they are taken to have gone on for ever, but one that never
     * ends has not begun), since when and how long still.
     *
     * @return ?array{index: int, since_ms: int, left_ms: ?int} null when there are none
     */
    public function at(int $tMs): ?array
    {
        if ($this->starts === []) {
            return null;
        }
        $rest = $this->cycle === null ? max(0, $tMs) : (($tMs % $this->cycle) + $this->cycle) % $this->cycle;
        [$low, $high] = [0, count($this->starts) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            [$low, $high] = $this->starts[$middle] <= $rest ? [$middle, $high] : [$low, $middle - 1];
        }
        $end = $this->starts[$low + 1] ?? $this->cycle;

        return [
            'index' => $low,
            'since_ms' => $rest - $this->starts[$low],
            'left_ms' => $end === null ? null : $end - $rest,
        ];
    }
}
