<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Plan\ListDates;
use UpperPane\Core\Plan\RoundPlan;
use UpperPane\Core\Time\Timeline;
use UpperPane\Core\Time\Turn;

/**
 * A plan as a release sealed it, read for what shows at an instant. Plans of version 1 had one scene, without a length,
 * and its zones at the top.
 */
final readonly class ReleasedPlan
{
    /**
     * @param array<string, array<string, ReleasedZone>> $zones by scene
     * @param Timeline<int> $days the midnights that hold
     * @param array<string, ListDates> $lists that have hours, by zone
     */
    private function __construct(
        private RoundPlan $round,
        private array $zones,
        private Timeline $days,
        private array $lists = [],
    ) {
    }

    /**
     * @param array<string, mixed> $plan as {@see \UpperPane\Core\Plan\Plan::toArray()} wrote it, in this version or the
     *     one before
     * @param ?list<int> $today the site's midnights around the instants that are asked for; null: those of the plan
     * @param array<string, ListDates> $lists that have hours, by zone
     */
    public static function read(array $plan, ?array $today = null, array $lists = []): self
    {
        $input = Input::of($plan);
        if ($input->int('plan', 1, 2) === 1) {
            $scene = $input->id('scene');

            return new self(
                RoundPlan::of([['scene' => $scene, 'ms' => null]]),
                [$scene => self::zones($input->list('zones'))],
                Timeline::of([['from_ms' => 0, 'value' => 0]]),
            );
        }
        $zones = array_map(
            static fn (Input $scene) => self::zones($scene->list('zones')),
            $input->child('scenes')->members(),
        );
        $days = $today ?? array_map(static fn (Input $day) => $day->asInt(0, \PHP_INT_MAX), $input->list('days'));

        return new self(
            RoundPlan::read($input->child('round')),
            $zones,
            Timeline::of(array_map(static fn (int $day) => ['from_ms' => $day, 'value' => $day], $days)),
            $lists,
        );
    }

    /** The scene that shows at an instant of a round that began at startMs. */
    public function sceneAt(int $atMs, int $startMs): string
    {
        return $this->round->at($atMs - $startMs)['scene'];
    }

    /**
     * @return array<string, array{letter: string, entry: ?string}> what each zone of the scene that shows then shows,
     *     by zone
     */
    public function at(int $atMs, int $startMs): array
    {
        return array_map(
            static fn (array $zone) => ['letter' => $zone['letter'], 'entry' => $zone['entry']],
            $this->turns($atMs, $startMs),
        );
    }

    /**
     * The same, and how long it has shown it and will.
     *
     * @return array<string, array{letter: string, entry: ?string, turn: ?Turn}> by zone
     */
    public function turns(int $atMs, int $startMs): array
    {
        ['scene' => $scene, 'since_ms' => $sceneMs] = $this->round->at($atMs - $startMs);
        $zones = $this->zones[$scene] ?? [];
        $shown = [];
        foreach ($zones as $id => $zone) {
            $leader = $zones[$zone->leader()] ?? null;
            $turn = $leader === null
                ? $this->turn($zone, $sceneMs, $atMs)
                : $zone->following($this->turn($leader, $sceneMs, $atMs), $this->lists[$id] ?? null, $atMs);
            $shown[$id] = [
                'letter' => $zone->letter,
                'entry' => $turn === null ? null : $zone->entry($turn->index),
                'turn' => $turn,
            ];
        }

        return $shown;
    }

    private function turn(ReleasedZone $zone, int $sceneMs, int $atMs): ?Turn
    {
        $since = $zone->runsOn ? $atMs - ($this->days->at($atMs) ?? 0) : $sceneMs;
        $list = $this->lists[$zone->id] ?? null;

        return $list === null ? $zone->turn($since) : $list->turn($atMs - $since, $atMs);
    }

    /**
     * @param list<Input> $zones
     *
     * @return array<string, ReleasedZone> by id
     */
    private static function zones(array $zones): array
    {
        $read = array_map(ReleasedZone::read(...), $zones);

        return array_combine(array_map(static fn (ReleasedZone $zone) => $zone->id, $read), $read);
    }
}
