<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Plan\RoundPlan;
use UpperPane\Core\Time\Playlist;

/**
 * A plan as a release sealed it, read for what shows at an instant. Plans of version 1 had one scene, without a length,
 * and its zones at the top.
 */
final readonly class ReleasedPlan
{
    /**
     * @param array<string,
     *     list<array{id: string, letter: string, runs_on: bool, entries: list<array{id: string, ms: int}>}>> $zones by
     *     scene
     * @param list<int> $days
     */
    private function __construct(private RoundPlan $round, private array $zones, private array $days)
    {
    }

    /**
     * @param array<string, mixed> $plan as {@see \UpperPane\Core\Plan\Plan::toArray()} wrote it, in this version or the
     *     one before
     */
    public static function read(array $plan): self
    {
        $input = Input::of($plan);
        if ($input->int('plan', 1, 2) === 1) {
            $scene = $input->id('scene');

            return new self(
                RoundPlan::of([['scene' => $scene, 'ms' => null]]),
                [$scene => array_map(self::zone(...), $input->list('zones'))],
                [],
            );
        }
        $zones = array_map(
            static fn (Input $scene) => array_map(self::zone(...), $scene->list('zones')),
            $input->child('scenes')->members(),
        );
        $round = array_map(
            static fn (Input $scene) => [
                'scene' => $scene->id('scene'),
                'ms' => $scene->optional('ms')?->asInt(1, \PHP_INT_MAX),
            ],
            $input->child('round')->list('scenes', 1000, 1),
        );
        $days = array_map(static fn (Input $day) => $day->asInt(0, \PHP_INT_MAX), $input->list('days'));

        return new self(
            RoundPlan::of($round === [] ? throw new \LogicException('The list has a scene.') : $round),
            $zones,
            $days,
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
            $since = $zone['runs_on'] ? $atMs - $this->midnight($atMs) : $now['since_ms'];
            $shown[$zone['id']] = ['letter' => $zone['letter'], 'entry' => self::entry($zone['entries'], $since)];
        }

        return $shown;
    }

    private function midnight(int $atMs): int
    {
        $last = 0;
        foreach ($this->days as $day) {
            $last = $day <= $atMs ? $day : $last;
        }

        return $last;
    }

    /** @param list<array{id: string, ms: int}> $entries */
    private static function entry(array $entries, int $sinceMs): ?string
    {
        $cycle = array_sum(array_column($entries, 'ms'));

        return $cycle === 0 ? null : Playlist::of($entries)->at((($sinceMs % $cycle) + $cycle) % $cycle)['entry'];
    }

    /** @return array{id: string, letter: string, runs_on: bool, entries: list<array{id: string, ms: int}>} */
    private static function zone(Input $zone): array
    {
        $entries = [];
        foreach ($zone->child('cycle_ms')->isNull() ? [] : $zone->list('items') as $item) {
            $entries[] = ['id' => $item->text('entry', 64), 'ms' => $item->int('ms', 1, \PHP_INT_MAX)];
        }

        return [
            'id' => $zone->id('id'),
            'letter' => $zone->text('letter', 4),
            'runs_on' => $zone->has('runs_on') && $zone->bool('runs_on'),
            'entries' => $entries,
        ];
    }
}
