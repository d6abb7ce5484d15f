<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Release;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Job\Queue;
use UpperPane\App\Repository\Players;
use UpperPane\App\Repository\Releases;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Act\ShowActs;
use UpperPane\App\UseCase\Document\Desks;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Player\PlayerStates;
use UpperPane\Core\Plan\Almanac;
use UpperPane\Core\Site\Right;

/**
 * Per surface of a site: what it should show, what its players say they show, what is saved but not released, and what
 * it could be given.
 */
final readonly class ShowHandOff
{
    public function __construct(
        private Players $players,
        private Surfaces $surfaces,
        private Releases $releases,
        private PlayerStates $states,
        private Newer $newer,
        private Desks $desks,
        private ShowActs $acts,
        private Queue $queue,
        private Gate $gate,
        private ShiftedClock $clock,
    ) {
    }

    /**
     * @return array{zone: string, waits: ?array<string, array{count: int, oldest_ms: ?int}>,
     *     surfaces: list<array<string, mixed>>} those that have a player; what waits by lane, for who runs the machine
     */
    public function __invoke(string $slug, Person $person): array
    {
        $site = $this->gate->site($slug, $person);
        $fed = array_filter(
            $this->surfaces->of($site),
            fn (SurfaceRow $surface) => $this->players->feeding($surface) !== [],
        );

        $acts = $this->acts->lines((int) $site->id);

        return [
            'zone' => $site->timeZone,
            'waits' => $this->gate->may($person, Right::Run, $site) ? $this->queue->waits() : null,
            'surfaces' => array_map(
                fn (SurfaceRow $surface) => $this->states->ofSurface($surface) + [
                    'acts' => self::onto($acts, $this->players->feeding($surface)),
                    'newer' => $this->newer->on($surface),
                    'releases' => $this->lines($this->releases->forSurface($surface)),
                ],
                array_values($fed),
            ),
        ];
    }

    /**
     * @param list<array<string, mixed>> $acts
     * @param list<Player>               $players
     *
     * @return list<array<string, mixed>> those that are aimed at some of them
     */
    private static function onto(array $acts, array $players): array
    {
        $codes = array_map(static fn (Player $player) => $player->code, $players);

        return array_values(array_filter(
            $acts,
            static fn (array $act) => array_intersect($act['players'], $codes) !== [],
        ));
    }

    /**
     * @return array{releases: list<array<string, mixed>>, revision: int,
     *     newer: list<array{what: string, name: string}>} `newer`: what the design's own surface would show otherwise
     *     than by the last release for it
     */
    public function ofDesign(string $id, Person $person): array
    {
        [$loaded] = $this->desks->open($id, $person);

        return [
            'revision' => $loaded->revision,
            'releases' => $this->lines($this->releases->ofDesign($id)),
            'newer' => $this->newer->of($loaded),
        ];
    }

    /**
     * @param string $surface the code of one it is for; its first when it is empty
     *
     * @return array{plan: array<string, mixed>, findings: list<array<string, mixed>>} as it was sealed,
     *     with the dates of today
     */
    public function plan(int $id, string $surface, Person $person): array
    {
        $release = $this->releases->byId($id) ?? throw Absent::named('release');
        $this->gate->demand($person, Right::See, $release->design);
        foreach ($this->releases->plans($release) as $plan) {
            if ($surface === '' || $plan->surface->code === $surface) {
                $zone = new \DateTimeZone($plan->surface->site->timeZone);
                $order = $this->players->orderOf($plan->surface);
                $showing = $order === null ? [] : [$order->showsSinceMs()];
                $dates = Almanac::dates($zone, $this->clock->nowMs(), $plan->plan, $showing);

                return ['plan' => ['dates' => $dates] + $plan->plan, 'findings' => $plan->findings];
            }
        }
        throw Absent::named('release');
    }

    /**
     * @param list<Release> $releases
     *
     * @return list<array<string, mixed>> each with the surfaces it is for
     */
    private function lines(array $releases): array
    {
        $surfaces = $this->releases->surfaces(array_map(static fn (Release $release) => $release->id, $releases));

        return array_map(
            static fn (Release $release) => PlayerStates::release($release) + ['surfaces' => $surfaces[$release->id]],
            $releases,
        );
    }
}
