<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\HandOff;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\SurfaceRow;

/** Looks players up, and what they were handed. */
final readonly class Players
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function byCode(string $code): ?Player
    {
        $player = $this->entities->getRepository(Player::class)->findOneBy(['code' => $code]);

        // The database takes spaces at the end for none.
        return $player?->code === $code ? $player : null;
    }

    /** @return list<Player> */
    public function feeding(SurfaceRow $surface): array
    {
        return $this->entities->getRepository(Player::class)->findBy(['surface' => $surface], ['id' => 'ASC']);
    }

    public function lock(Player $player): void
    {
        $this->entities->refresh($player, LockMode::PESSIMISTIC_WRITE);
    }

    /** What is in force for it: what its surface was handed last, or it alone before surfaces had programmes. */
    public function order(Player $player): ?HandOff
    {
        /** @var list<HandOff> $latest */
        $latest = $this->entities
            ->createQuery(
                'SELECT h FROM '.
                    HandOff::class.
                    ' h WHERE h.surface = :surface AND (h.player IS NULL OR h.player = :player) ORDER BY h.number DESC',
            )
            ->setParameters(['surface' => $player->surface, 'player' => $player])
            ->setMaxResults(1)
            ->getResult();

        return $latest[0] ?? null;
    }

    public function handedAs(string $id): ?HandOff
    {
        return $this->entities->getRepository(HandOff::class)->findOneBy(['madeAs' => $id]);
    }

    /** What a surface was handed last. */
    public function orderOf(SurfaceRow $surface): ?HandOff
    {
        return $this->handed($surface, 1)[0] ?? null;
    }

    /** @return list<HandOff> what a surface was handed, the last first */
    public function handed(SurfaceRow $surface, int $most): array
    {
        return $this->entities
            ->getRepository(HandOff::class)
            ->findBy(['surface' => $surface], ['number' => 'DESC'], $most);
    }

    /** Whether it is paired, or was handed something alone before surfaces had programmes. */
    public function isInUse(Player $player): bool
    {
        return $player->tokenHash !== null
            || $this->entities->getRepository(HandOff::class)->count(['player' => $player]) > 0;
    }

    /** A code for one more player of a surface. */
    public function freeCode(string $surface): string
    {
        for ($number = 1; $this->byCode("$surface-$number") !== null; ++$number) {
        }

        return "$surface-$number";
    }
}
