<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\Published;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Repository\Players;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Site\Right;

/** A player shows its code once while pairing is open and gets a token of its own; pairing closes behind it. */
final readonly class PairPlayer
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Players $players,
        private PublishOrders $orders,
        private Published $published,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /**
     * @return array{token: string, orders: string, name: string}
     *
     * @throws Conflict `pairing.closed`
     */
    public function pair(string $code): array
    {
        $token = bin2hex(random_bytes(24));
        [$player, $oldKey] = $this->entities->wrapInTransaction(function () use ($code, $token): array {
            $player = $this->players->byCode($code) ?? throw Absent::named('player');
            $this->players->lock($player);
            if (!$player->pairingOpen) {
                throw Conflict::because('pairing.closed', ['code' => $code]);
            }
            $oldKey = $player->ordersKey;
            $player->tokenHash = hash('sha256', $token);
            $player->ordersKey = bin2hex(random_bytes(20));
            $player->pairingOpen = false;
            ++$player->ordersNumber;

            return [$player, $oldKey];
        });
        $this->published->withdraw($oldKey);
        ($this->orders)($player);
        $this->recorder->record(null, 'player.pair', $code);

        return ['token' => $token, 'orders' => "/orders/{$player->ordersKey}.json", 'name' => $player->name];
    }

    public function open(string $code, Person $person): void
    {
        $player = $this->players->byCode($code) ?? throw Absent::named('player');
        $this->gate->demand($person, Right::Pair, $player->surface->site);
        $player->pairingOpen = true;
        $this->entities->flush();
        $this->recorder->record($person, 'player.open_pairing', $code);
    }

    public function byToken(string $code, string $token): ?Player
    {
        $player = $this->players->byCode($code);

        return $player?->tokenHash !== null && hash_equals($player->tokenHash, hash('sha256', $token)) ? $player : null;
    }
}
