<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\Published;
use UpperPane\App\Entity\Player;
use UpperPane\App\Repository\Players;

/**
 * Writes a player's orders from the database: the programme it follows and the sheets that go with it. Any node may do
 * it at any time.
 */
final readonly class PublishOrders
{
    public const VERSION = 2;

    public function __construct(
        private EntityManagerInterface $entities,
        private Players $players,
        private Published $published,
        private MakeProgramme $programme,
    ) {
    }

    public function __invoke(Player $player): void
    {
        $order = $this->players->order($player);
        if ($order !== null && $order->programme === null) {
            // Handed off before there were programmes.
            $order->programme = $this->entities->wrapInTransaction(
                fn () => ($this->programme)($player->surface, $order->release, $order->startMs),
            );
            $this->entities->flush();
        }
        $programme = $order?->programme;
        $this->published->order($player->ordersKey, [
            'orders' => self::VERSION,
            'number' => $player->ordersNumber,
            'programme' => $programme === null
                    ? null
                    : [
                        'number' => $programme->number,
                        'sha256' => $programme->sha256,
                        'url' => "/released/{$programme->folder}/programme.json",
                    ],
            'sheets' => [],
        ]);
    }
}
