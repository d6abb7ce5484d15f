<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/**
 * A list some of whose entries are on at some times only (model §6). Where the set of those that are on changes, an
 * edge, the running entry is played to its end and the new set begins there with its first; out of an empty set it
 * begins at the edge. From where it began the edges are walked, never the entries. The browser's own walk
 * (`plan/edges.ts`) is held to the same cases.
 */
final readonly class Edges
{
    /**
     * @param list<int>       $ms       how long each entry lasts, ≥ 1
     * @param list<list<int>> $sets     of entries that are on together, by their places in the list
     * @param Timeline<int>   $timeline which of the sets
     * @param list<bool>      $between  which entries lie between the others
     * @param int             $after    so many of the others, ≥ 1
     */
    private function __construct(
        private array $ms,
        private array $sets,
        private Timeline $timeline,
        private ?Orders $orders = null,
        private array $between = [],
        private int $after = 1,
    ) {
    }

    /**
     * @param list<int>       $ms
     * @param list<list<int>> $sets     none twice
     * @param Timeline<int>   $timeline
     */
    public static function of(array $ms, array $sets, Timeline $timeline): self
    {
        return new self($ms, $sets, $timeline);
    }

    /** In other orders than they are listed. */
    public function ordered(?Orders $orders): self
    {
        return new self($this->ms, $this->sets, $this->timeline, $orders, $this->between, $this->after);
    }

    /**
     * With some of its entries between the others.
     *
     * @param list<bool> $between
     */
    public function interleaved(array $between, int $after): self
    {
        return new self($this->ms, $this->sets, $this->timeline, $this->orders, $between, $after);
    }

    /**
     * Of entries that are each on over some stretches.
     *
     * @param list<int>                                            $ms
     * @param list<?iterable<array{from_ms: int, until_ms: int}>>  $on    of each; null: always
     * @param list<bool>                                           $alone while one of these is on, only these are
     * @param int                                                  $fromMs from when on it is asked for
     */
    public static function over(array $ms, array $on, array $alone, int $fromMs): self
    {
        $changes = [];
        $held = [];
        foreach ($on as $place => $stretches) {
            $held[$place] = $stretches === null ? 1 : 0;
            foreach ($stretches ?? [] as ['from_ms' => $from, 'until_ms' => $until]) {
                $changes[max($fromMs, $from)][] = [$place, 1];
                $changes[$until][] = [$place, -1];
            }
        }
        $changes += [$fromMs => []];
        ksort($changes);
        $bits = implode('', array_map(static fn (int $count) => $count > 0 ? '1' : '0', $held));
        $known = $sets = $steps = [];
        foreach ($changes as $at => $those) {
            foreach ($those as [$place, $by]) {
                $held[$place] += $by;
                $bits[$place] = $held[$place] > 0 ? '1' : '0';
            }
            if (!isset($known[$bits])) {
                $set = self::set($bits, $alone);
                $index = array_search($set, $sets, true);
                $known[$bits] = $index === false ? array_push($sets, $set) - 1 : $index;
            }
            $steps[] = ['from_ms' => $at, 'value' => $known[$bits]];
        }

        return new self($ms, $sets, Timeline::of($steps));
    }

    /**
     * What began when, and holds at an instant.
     *
     * @param int  $atMs  an instant, not before `from_ms`
     * @param ?int $walks from when on the edges count, where it began before the first of them; null: from its start
     *
     * @return array{from_ms: int, set: int, before: ?array{from_ms: int, set: int}} `before`: what played until then
     */
    public function run(int $fromMs, int $set, int $atMs, ?int $walks = null): array
    {
        [$run, $before] = [['from_ms' => $fromMs, 'set' => $set], null];
        $edge = $walks ?? $this->timeline->next($fromMs);
        while ($edge !== null && $edge <= $atMs) {
            $piece = $this->showing($run, $edge);
            $begins = $piece === null || $piece['since_ms'] === 0 ? $edge : $edge + $piece['left_ms'];
            if ($begins > $atMs) {
                break;
            }
            $next = $this->setAt($begins);
            if ($next !== $run['set']) {
                [$before, $run] = [$run, ['from_ms' => $begins, 'set' => $next]];
            }
            $edge = $this->timeline->next($begins);
        }

        return $run + ['before' => $before];
    }

    /**
     * What shows at an instant, of what began then.
     *
     * @param array{from_ms: int, set: int} $run
     *
     * @return ?array{index: int, since_ms: int, left_ms: int} null: nothing is on
     */
    public function showing(array $run, int $atMs): ?array
    {
        $turn = $this->turn($run, $atMs);

        return $turn === null
            ? null
            : ['index' => $turn->index, 'since_ms' => $turn->sinceMs, 'left_ms' => $turn->leftMs];
    }

    /**
     * The same, and which step it is.
     *
     * @param array{from_ms: int, set: int} $run
     */
    public function turn(array $run, int $atMs): ?Turn
    {
        $set = $this->sets[$run['set']];
        if ($this->isMixed($set)) {
            return $this->sequence($set)->at($atMs - $run['from_ms']);
        }
        $cycle = array_sum($this->lengths($set));
        if ($cycle === 0) {
            return null;
        }
        $pass = intdiv($atMs - $run['from_ms'], $cycle);
        $begins = $run['from_ms'] + $pass * $cycle;
        $order = $this->orders?->pass($set, $pass, $begins, $pass === 0 ? null : $begins - $cycle) ?? $set;
        $piece = Pieces::of($this->lengths($order))->at($atMs - $begins);

        return $piece === null ? null : new Turn(
            $pass * count($set) + $piece['index'],
            count($set),
            $order[$piece['index']],
            $piece['since_ms'],
            (int) $piece['left_ms'],
        );
    }

    /** Those that are on at an instant, in the order in which they come. */
    public function sequenceAt(int $atMs): Sequence
    {
        return $this->sequence($this->sets[$this->setAt($atMs)]);
    }

    /** Which set is on at an instant; before the first edge the first. */
    public function setAt(int $atMs): int
    {
        return $this->timeline->at($atMs) ?? $this->timeline->values()[0];
    }

    /**
     * With a set that may be on no more, and its number.
     *
     * @param list<int> $places
     *
     * @return array{self, int}
     */
    public function having(array $places): array
    {
        $index = array_search($places, $this->sets, true);

        return $index === false
            ? [
                new self(
                    $this->ms,
                    [...$this->sets, $places],
                    $this->timeline,
                    $this->orders,
                    $this->between,
                    $this->after,
                ),
                count($this->sets),
            ]
            : [$this, $index];
    }

    /** @return list<list<int>> */
    public function sets(): array
    {
        return $this->sets;
    }

    /** @return Timeline<int> which of the sets is on */
    public function timeline(): Timeline
    {
        return $this->timeline;
    }

    /** @param list<int> $places */
    private function isMixed(array $places): bool
    {
        return array_intersect($places, array_keys(array_filter($this->between))) !== [];
    }

    /** @param list<int> $places */
    private function sequence(array $places): Sequence
    {
        return Sequence::of($this->ms, $places, $this->between, $this->after);
    }

    /**
     * @param list<int> $places
     *
     * @return list<int>
     */
    private function lengths(array $places): array
    {
        return array_map(fn (int $place) => $this->ms[$place], $places);
    }

    /**
     * @param list<bool> $alone
     *
     * @return list<int>
     */
    private static function set(string $bits, array $alone): array
    {
        $on = array_values(array_filter(
            array_keys($alone),
            static fn (int $place) => $bits[$place] === '1',
        ));
        $only = array_values(array_filter($on, static fn (int $place) => $alone[$place]));

        return $only === [] ? $on : $only;
    }
}
