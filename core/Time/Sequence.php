<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/**
 * The places of a list in the order in which they come: as listed, or with one of those that lie between after every so
 * many of the others (model §6, Interleave). The browser's own (`plan/sequence.ts`) is held to the same cases.
 */
final readonly class Sequence
{
    private function __construct(private Playlist $playlist)
    {
    }

    /**
     * @param list<int>  $ms      of all entries
     * @param list<int>  $places  of those that are on
     * @param list<bool> $between which of all lie between the others
     * @param int        $after   so many of the others, ≥ 1
     */
    public static function of(array $ms, array $places, array $between, int $after): self
    {
        $entries = static fn (bool $those): array => array_values(array_map(
            static fn (int $place) => ['id' => (string) $place, 'ms' => $ms[$place]],
            array_filter($places, static fn (int $place) => ($between[$place] ?? false) === $those),
        ));

        return new self(Playlist::of($entries(false), $entries(true), $after));
    }

    /** Steps until it begins anew. */
    public function count(): int
    {
        return $this->playlist->periodEntries();
    }

    /** @return list<array{place: int, ms: int}> of one pass, as far as {@see Playlist::LONGEST_SEQUENCE} goes */
    public function turns(): array
    {
        return array_map(
            static fn (array $step) => ['place' => (int) $step['id'], 'ms' => $step['ms']],
            $this->playlist->steps(),
        );
    }

    /** Until it begins anew; null beyond 64 bits. */
    public function cycleMs(): ?int
    {
        return $this->playlist->periodMs();
    }

    /** The place that stands at a step, counted on. */
    public function place(int $step): int
    {
        return (int) $this->playlist->idAt($step);
    }

    /** What shows t ms after it began; null: nothing is on. */
    public function at(int $tMs): ?Turn
    {
        $now = $this->playlist->stepAt($tMs);

        return $now === null
            ? null
            : new Turn($now['step'], $this->count(), $this->place($now['step']), $now['since_ms'], $now['left_ms']);
    }

    /**
     * The place of one that follows, at a step of its leader; null where it shows nothing (model §6, Sync).
     *
     * @param int $count steps of the leader until it begins anew
     */
    public function following(int $step, int $count, Unequal $unequal): ?int
    {
        $at = $unequal->entryAt($step, $this->count(), $count);

        return $at === null ? null : $this->place($at);
    }
}
