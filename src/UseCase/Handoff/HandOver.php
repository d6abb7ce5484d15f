<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\HandOff;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Release;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Job\Lane;
use UpperPane\App\Job\Queue;
use UpperPane\App\Repository\Players;
use UpperPane\App\Repository\Releases;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Player\MakeProgramme;
use UpperPane\App\UseCase\Player\PlayerStates;
use UpperPane\App\UseCase\Player\PublishJob;
use UpperPane\App\UseCase\Player\PublishOrders;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Site\Right;

/**
 * Gives a release to a surface, now: one programme for all its players, so that they share their start instants.
 * Rolling back is handing an earlier release off again.
 */
final readonly class HandOver
{
    /** A little later than now, so that every player of a surface can have it whole and switch at the same instant. */
    private const LEAD_MS = 4000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Surfaces $surfaces,
        private Players $players,
        private Releases $releases,
        private MakeProgramme $programme,
        private PublishOrders $orders,
        private PlayerStates $states,
        private ShiftedClock $clock,
        private Gate $gate,
        private Recorder $recorder,
        private Queue $queue,
    ) {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws Conflict `hand_off.other_surface`, or `hand_off.changed` when someone else handed off meanwhile
     */
    public function __invoke(string $code, Input $input, Person $person): array
    {
        $input->keys(['release', 'after', 'made_as']);
        $madeAs = $input->uuid('made_as');
        $releaseId = $input->int('release', 1, \PHP_INT_MAX);
        $after = $input->int('after', 0, \PHP_INT_MAX);
        $surface = $this->entities->wrapInTransaction(function () use ($code, $releaseId, $after, $madeAs, $person) {
            $surface = $this->surfaces->byCode($code) ?? throw Absent::named('surface');
            $this->gate->demand($person, Right::HandOff, $surface);
            $this->surfaces->lock($surface);
            $release = $this->entities->find(Release::class, $releaseId) ?? throw Absent::named('release');
            $known = $this->players->handedAs($madeAs);
            if ($known !== null) {
                return $known->surface === $surface && $known->release === $release
                    ? $surface
                    : throw Conflict::because('request.id_taken', ['id' => $madeAs]);
            }
            $this->give($surface, $release, $after, $madeAs, $person);

            return $surface;
        });
        array_map($this->orders, $this->players->feeding($surface));
        $this->recorder->record($person, 'hand_off', $code, ['release' => $releaseId]);

        return $this->states->ofSurface($surface);
    }

    private function give(SurfaceRow $surface, Release $release, int $after, string $madeAs, Person $person): void
    {
        $current = $this->players->orderOf($surface);
        if (($current->number ?? 0) !== $after) {
            throw Conflict::because('hand_off.changed', [
                'who' => $current->by->name ?? '',
                'what' => $current === null ? '' : "{$current->release->design->name} {$current->release->number}",
            ]);
        }
        $plan =
            $this->releases->planOn($release, $surface) ??
            throw Conflict::because('hand_off.other_surface', ['surface' => $surface->name]);
        $startMs = $this->clock->nowMs() + self::LEAD_MS;
        $this->entities->persist(
            new HandOff(
                $surface,
                $release,
                $after + 1,
                $startMs,
                $person,
                $this->clock->now(),
                ($this->programme)($plan, $startMs, $current?->programme),
                $madeAs,
            ),
        );
        foreach ($this->players->feeding($surface) as $player) {
            $this->players->lock($player);
            $player->renumber($this->clock->nowMs());
            $this->queue->add(PublishJob::KIND, ['player' => $player->code], Lane::Now);
        }
        $this->entities->flush();
    }
}
