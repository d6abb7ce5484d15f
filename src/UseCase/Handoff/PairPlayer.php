<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\Published;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Recorder;

/** A player shows its code once while pairing is open and gets a token of its own; pairing closes behind it. */
final readonly class PairPlayer
{
    public function __construct(private EntityManagerInterface $entities, private HandOver $handOver, private Published $published, private Recorder $recorder)
    {
    }

    /**
     * @return array{token: string, orders: string, name: string}
     *
     * @throws Conflict `pairing.closed`
     */
    public function pair(string $code): array
    {
        $player = $this->handOver->player($code);
        if (!$player->pairingOpen) {
            throw Conflict::because('pairing.closed', ['code' => $code]);
        }
        $token = bin2hex(random_bytes(24));
        $this->published->withdraw($player->ordersKey);
        $player->tokenHash = hash('sha256', $token);
        $player->ordersKey = bin2hex(random_bytes(20));
        $player->pairingOpen = false;
        ++$player->ordersNumber;
        $this->entities->flush();
        $this->handOver->publish($player);
        $this->recorder->record(null, 'player.pair', $code);

        return ['token' => $token, 'orders' => "/orders/{$player->ordersKey}.json", 'name' => $player->name];
    }

    public function open(string $code, Person $person): void
    {
        $this->handOver->player($code)->pairingOpen = true;
        $this->entities->flush();
        $this->recorder->record($person, 'player.open_pairing', $code);
    }

    public function byToken(string $code, string $token): ?Player
    {
        $player = $this->entities->getRepository(Player::class)->findOneBy(['code' => $code]);

        return $player?->tokenHash !== null && hash_equals($player->tokenHash, hash('sha256', $token)) ? $player : null;
    }
}
