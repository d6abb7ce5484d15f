<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Release;
use UpperPane\App\UseCase\Design\DesignStore;

/** Per player: what it should show, what it says it shows, what is saved but not released, and what it could be given. */
final readonly class ShowHandOff
{
    public function __construct(private EntityManagerInterface $entities, private PlayerStates $states, private DesignStore $store)
    {
    }

    /** @return array{players: list<array<string, mixed>>} */
    public function __invoke(): array
    {
        $players = $this->entities->getRepository(Player::class)->findBy([], ['name' => 'ASC']);

        return ['players' => array_map(fn (Player $player) => $this->states->of($player) + [
            'after' => $this->states->order($player)->number ?? 0,
            'releases' => $this->releases($player),
        ], $players)];
    }

    /** @return array{releases: list<array<string, mixed>>, revision: int} */
    public function ofDesign(string $id): array
    {
        $loaded = $this->store->load($id);
        $releases = $this->entities->getRepository(Release::class)->findBy(['design' => $loaded->row], ['number' => 'DESC']);

        return ['revision' => $loaded->row->revision, 'releases' => array_map(PlayerStates::release(...), $releases)];
    }

    /** @return list<array<string, mixed>> */
    private function releases(Player $player): array
    {
        $releases = $this->entities->getRepository(Release::class)->findBy(['surface' => $player->surface], ['id' => 'DESC'], 20);

        return array_map(PlayerStates::release(...), $releases);
    }
}
