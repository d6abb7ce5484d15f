<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Plan\ListDates;
use UpperPane\Core\Time\Sequence;
use UpperPane\Core\Time\Turn;
use UpperPane\Core\Time\Unequal;

/** A zone of a sealed plan, read for what it shows at an instant. */
final readonly class ReleasedZone
{
    /**
     * @param list<string>                          $entries ids, none where it shows one thing
     * @param ?Sequence                             $sequence in which they come
     * @param ?array{leader: string, how: Unequal}  $follows
     */
    private function __construct(
        public string $id,
        public string $letter,
        public bool $runsOn,
        private array $entries,
        private ?Sequence $sequence,
        private ?array $follows,
    ) {
    }

    public static function read(Input $zone): self
    {
        $items = $zone->child('cycle_ms')->isNull() ? [] : $zone->list('items');
        $items = array_values(array_filter($items, static fn (Input $item) => !$item->child('entry')->isNull()));
        $follows = $zone->has('follows') ? $zone->child('follows') : null;

        return new self(
            $zone->id('id'),
            $zone->text('letter', 4),
            $zone->has('runs_on') && $zone->bool('runs_on'),
            array_map(static fn (Input $item) => $item->text('entry', 64), $items),
            $items === [] ? null : Sequence::of(
                array_map(static fn (Input $item) => $item->int('ms', 1, \PHP_INT_MAX), $items),
                array_keys($items),
                array_map(static fn (Input $item) => $item->has('between'), $items),
                $zone->has('after') ? $zone->int('after', 1, \PHP_INT_MAX) : 1,
            ),
            $follows === null
                ? null
                : ['leader' => $follows->id('zone'), 'how' => $follows->enum('unequal', Unequal::class)],
        );
    }

    /** Whom it is in step with; null: it goes by its own durations. */
    public function leader(): ?string
    {
        return $this->follows['leader'] ?? null;
    }

    public function entry(int $place): ?string
    {
        return $this->entries[$place] ?? null;
    }

    /** What it shows t ms after it began; null where it shows one thing for as long as it lasts. */
    public function turn(int $tMs): ?Turn
    {
        return $this->sequence?->at($tMs);
    }

    /**
     * What it shows while its leader shows something: its entry begins with the step (model §6, Sync).
     *
     * @param ?ListDates $list its own days and hours, those at the beginning of the step
     */
    public function following(?Turn $leader, ?ListDates $list, int $atMs): ?Turn
    {
        $sequence = $leader === null ? null : ($list?->sequenceAt($atMs - $leader->sinceMs) ?? $this->sequence);
        $place = $leader === null || $this->follows === null
            ? null
            : $sequence?->following($leader->step, $leader->count, $this->follows['how']);

        return $leader === null || $place === null
            ? null
            : new Turn($leader->step, $leader->count, $place, $leader->sinceMs, $leader->leftMs);
    }
}
