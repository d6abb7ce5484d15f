<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Plan\ListDates;
use UpperPane\Core\Plan\RoundPlan;
use UpperPane\Core\Time\Pieces;
use UpperPane\Core\Time\Timeline;

/**
 * A plan as a release sealed it, read for what shows at an instant. Plans of version 1 had one scene, without a length,
 * and its zones at the top.
 */
final readonly class ReleasedPlan
{
    /**
     * @param array<string,
     *     list<array{id: string, letter: string, runs_on: bool, entries: list<string>, pieces: Pieces}>> $zones by
     *     scene
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
                [$scene => array_map(self::zone(...), $input->list('zones'))],
                Timeline::of([['from_ms' => 0, 'value' => 0]]),
            );
        }
        $zones = array_map(
            static fn (Input $scene) => array_map(self::zone(...), $scene->list('zones')),
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
        $now = $this->round->at($atMs - $startMs);
        $shown = [];
        foreach ($this->zones[$now['scene']] ?? [] as $zone) {
            $since = $zone['runs_on'] ? $atMs - ($this->days->at($atMs) ?? 0) : $now['since_ms'];
            $list = $this->lists[$zone['id']] ?? null;
            $piece = $list === null ? $zone['pieces']->at($since) : $list->showing($atMs - $since, $atMs);
            $shown[$zone['id']] = [
                'letter' => $zone['letter'],
                'entry' => $piece === null ? null : $zone['entries'][$piece['index']],
            ];
        }

        return $shown;
    }

    /** @return array{id: string, letter: string, runs_on: bool, entries: list<string>, pieces: Pieces} */
    private static function zone(Input $zone): array
    {
        $items = $zone->child('cycle_ms')->isNull() ? [] : $zone->list('items');

        return [
            'id' => $zone->id('id'),
            'letter' => $zone->text('letter', 4),
            'runs_on' => $zone->has('runs_on') && $zone->bool('runs_on'),
            'entries' => array_map(static fn (Input $item) => $item->text('entry', 64), $items),
            'pieces' => Pieces::of(
                array_map(static fn (Input $item) => $item->int('ms', 1, \PHP_INT_MAX), $items),
            ),
        ];
    }
}
