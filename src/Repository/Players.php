<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\HandOff;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Site;
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

    /** @return list<Player> */
    public function at(Site $site): array
    {
        /** @var list<Player> */
        return $this->entities
            ->createQuery(
                'SELECT p FROM '.Player::class.' p JOIN p.surface s WHERE s.site = :site ORDER BY p.name, p.id',
            )
            ->setParameter('site', $site)
            ->getResult();
    }

    public function lock(Player $player): void
    {
        $this->entities->refresh($player, LockMode::PESSIMISTIC_WRITE);
    }

    /** The last thing it was handed; that is in force. */
    public function order(Player $player): ?HandOff
    {
        return $this->entities->getRepository(HandOff::class)->findOneBy(['player' => $player], ['number' => 'DESC']);
    }

    public function handedAs(string $id): ?HandOff
    {
        return $this->entities->getRepository(HandOff::class)->findOneBy(['madeAs' => $id]);
    }

    /** What a surface was handed last, by whichever of its players. */
    public function orderOf(SurfaceRow $surface): ?HandOff
    {
        /** @var list<HandOff> $latest */
        $latest = $this->entities
            ->createQuery(
                'SELECT h FROM '.
                    HandOff::class.
                    ' h JOIN h.player p WHERE p.surface = :surface ORDER BY h.startMs DESC, h.id DESC',
            )
            ->setParameter('surface', $surface)
            ->setMaxResults(1)
            ->getResult();

        return $latest[0] ?? null;
    }

    public function isInUse(Player $player): bool
    {
        return $player->tokenHash !== null || $this->order($player) !== null;
    }

    /** A code for one more player of a surface. */
    public function freeCode(string $surface): string
    {
        for ($number = 1; $this->byCode("$surface-$number") !== null; ++$number) {
        }

        return "$surface-$number";
    }
}
