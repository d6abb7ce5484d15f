<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** The last thing a player said it shows; one row per player. */
#[ORM\Entity, ORM\Table(name: 'proof')]
class ProofRow
{
    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    public array $report = [];

    #[ORM\Column]
    public bool $proven = false;

    /** @var list<string> letters of zones that show something else */
    #[ORM\Column(type: 'json')]
    public array $differences = [];

    public function __construct(
        #[ORM\Id, ORM\OneToOne, ORM\JoinColumn(nullable: false)] public Player $player,
        #[ORM\Column(type: 'bigint')] public int $receivedMs,
    ) {
    }
}
