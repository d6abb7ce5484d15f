<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\Published;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\HandOff;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Release;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Input;

/** Gives a release to a player, now. Rolling back is handing an earlier release off again. */
final readonly class HandOver
{
    /** A little later than now, so that every player of a release can have it whole and switch at the same instant. */
    private const LEAD_MS = 4000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Published $published,
        private PlayerStates $states,
        private ShiftedClock $clock,
        private Recorder $recorder,
    ) {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws Conflict `hand_off.other_surface`, or `hand_off.changed` when someone else handed off meanwhile
     */
    public function __invoke(string $code, Input $input, Person $person): array
    {
        $input->keys(['release', 'after']);
        $releaseId = $input->int('release', 1, \PHP_INT_MAX);
        $after = $input->int('after', 0, \PHP_INT_MAX);
        $player = $this->entities->wrapInTransaction(function () use ($code, $releaseId, $after, $person) {
            $player = $this->player($code);
            $this->entities->lock($player, LockMode::PESSIMISTIC_WRITE);
            $this->entities->refresh($player);
            $release = $this->entities->find(Release::class, $releaseId) ?? throw Absent::named('release');
            $current = $this->states->order($player);
            if (($current->number ?? 0) !== $after) {
                throw Conflict::because('hand_off.changed', ['who' => $current->by->name ?? '', 'what' => $current === null ? '' : "{$current->release->design->name} {$current->release->number}"]);
            }
            if ($release->surface !== $player->surface) {
                throw Conflict::because('hand_off.other_surface', ['player' => $player->name, 'surface' => $release->surface->name]);
            }
            $this->entities->persist(new HandOff($player, $release, $after + 1, $this->clock->nowMs() + self::LEAD_MS, $person, $this->clock->now()));
            ++$player->ordersNumber;
            $this->entities->flush();

            return $player;
        });
        $this->publish($player);
        $this->recorder->record($person, 'hand_off', $code, ['release' => $releaseId]);

        return $this->states->of($player);
    }

    /** Writes the player's orders from the database; any node may do it at any time. */
    public function publish(Player $player): void
    {
        $order = $this->states->order($player);
        $this->published->order($player->ordersKey, [
            'number' => $player->ordersNumber,
            'release' => $order === null ? null : [
                'id' => $order->release->id, 'number' => $order->release->number, 'name' => $order->release->design->name,
                'sha256' => $order->release->sha256, 'base' => '/released/'.$order->release->folder.'/', 'start_ms' => $order->startMs,
            ],
        ]);
    }

    /** @throws Absent */
    public function player(string $code): Player
    {
        return $this->entities->getRepository(Player::class)->findOneBy(['code' => $code]) ?? throw Absent::named('player');
    }
}
