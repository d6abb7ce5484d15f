<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Player;
use UpperPane\App\Job\Chore;

/** The database is the truth: a file that is gone, cut off or was never written is written anew, by any node. */
final readonly class PublishAll implements Chore
{
    public function __construct(private EntityManagerInterface $entities, private PublishOrders $publish)
    {
    }

    public function everySeconds(): int
    {
        return 60;
    }

    public function run(): string
    {
        $failed = [];
        foreach ($this->entities->getRepository(Player::class)->findAll() as $player) {
            if (!($this->publish)($player)) {
                $failed[] = $player->code;
            }
        }

        return $failed === [] ? '' : 'not written yet: '.implode(', ', $failed);
    }
}
