<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Plan\Almanac;
use UpperPane\Core\Plan\ListDates;
use UpperPane\Core\Plan\RoundPlan;
use UpperPane\Core\Time\Midnights;

/**
 * What a plan shows at one instant, and why (model §6). Without a programme its showing began at the last civil
 * midnight.
 */
final readonly class Moment
{
    /** @param array<string, mixed> $plan as it is sealed */
    private function __construct(
        private array $plan,
        private \DateTimeZone $zone,
        public int $atMs,
        public int $beganMs,
    ) {
    }

    /** @param array<string, mixed> $plan as it is sealed */
    public static function at(array $plan, \DateTimeZone $zone, int $atMs): self
    {
        return new self($plan, $zone, $atMs, self::midnight($zone, $atMs));
    }

    /**
     * So long after a start at the last midnight.
     *
     * @param array<string, mixed> $plan
     */
    public static function after(array $plan, \DateTimeZone $zone, int $nowMs, int $tMs): self
    {
        $began = self::midnight($zone, $nowMs);

        return new self($plan, $zone, $began + $tMs, $began);
    }

    /** @return array<string, mixed> the dates to draw it by */
    public function dates(): array
    {
        return Almanac::dates($this->zone, $this->atMs, $this->plan, [$this->beganMs]);
    }

    /**
     * @return array<string, mixed> the scene, and of each of its zones the entry, since when, how long still, and why:
     *     `steady` shows one thing, `turn` as its list goes, `midnight` too but counted from there, `hours` by its days
     *     and hours, `alone` instead of all others, `step` with its leader, `no_step` and `nothing` where it shows none
     */
    public function toArray(): array
    {
        $dates = $this->dates();
        /** @var list<int> $days */
        $days = $dates['days'];
        /** @var array<string, mixed> $lists */
        $lists = $dates['lists'];
        $input = Input::of($this->plan);
        $now = RoundPlan::read($input->child('round'))->at($this->atMs - $this->beganMs);
        $released = ReleasedPlan::read($this->plan, $days, ListDates::sealed($this->plan, $lists));
        $turns = $released->turns($this->atMs, $this->beganMs);
        $scene = $input->child('scenes')->child($now['scene']);
        $zones = [];
        foreach ($scene->list('zones') as $zone) {
            $id = $zone->id('id');
            $shown = $turns[$id];
            $zones[] = [
                'zone' => $id,
                'letter' => $shown['letter'],
                'entry' => $shown['entry'],
                'place' => $shown['turn']?->index,
                'since_ms' => $shown['turn']->sinceMs ?? $now['since_ms'],
                'left_ms' => $shown['turn']?->leftMs,
                'why' => self::why($zone, $shown['turn']?->index),
                'leader' => $zone->has('follows') ? $zone->child('follows')->id('zone') : null,
            ];
        }

        return [
            'at_ms' => $this->atMs,
            'at' => $this->civil($this->atMs),
            'began_ms' => $this->beganMs,
            't_ms' => $this->atMs - $this->beganMs,
            'scene' => $now['scene'],
            'scene_name' => $scene->text('name', 120),
            'since_ms' => $now['since_ms'],
            'left_ms' => $now['left_ms'],
            'zones' => $zones,
        ];
    }

    private static function why(Input $zone, ?int $place): string
    {
        if ($zone->has('follows')) {
            return $place === null && !$zone->list('items')[0]->child('entry')->isNull() ? 'no_step' : 'step';
        }
        if ($zone->child('cycle_ms')->isNull()) {
            return 'steady';
        }
        if ($place === null) {
            return 'nothing';
        }
        $item = $zone->list('items')[$place];

        return match (true) {
            $item->has('alone') => 'alone',
            $item->has('when') => 'hours',
            $zone->bool('runs_on') => 'midnight',
            default => 'turn',
        };
    }

    private function civil(int $ms): string
    {
        return (new \DateTimeImmutable('@'.intdiv($ms, 1000)))->setTimezone($this->zone)->format('Y-m-d\TH:i:s');
    }

    private static function midnight(\DateTimeZone $zone, int $ms): int
    {
        return Midnights::over($zone, $ms, $ms + 1)[0];
    }
}
