<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/**
 * What plays releases on a surface. Its token is stored hashed; its orders lie at a secret address, renewed when it is
 * paired again.
 */
#[ORM\Entity, ORM\Table(name: 'player')]
class Player
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    #[ORM\Column(length: 64, nullable: true)]
    public ?string $tokenHash = null;

    #[ORM\Column(length: 64, unique: true)]
    public string $ordersKey;

    /** Of its orders: a player obeys no lower one than it has heard. */
    #[ORM\Column(type: 'bigint')]
    public int $ordersNumber = 0;

    /** @var array{code: string, params: array<string, string|int|list<string>>}|null why its files are not there yet */
    #[ORM\Column(type: 'json', nullable: true)]
    public ?array $publishFault = null;

    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public SurfaceRow $surface,
        #[ORM\Column(length: 40, unique: true)] public string $code,
        #[ORM\Column(length: 120)] public string $name,
    ) {
        $this->ordersKey = bin2hex(random_bytes(20));
    }

    /** Its orders become others: a number that is higher than any before, also after a restored backup. */
    public function renumber(int $nowMs): void
    {
        $this->ordersNumber = max($this->ordersNumber + 1, $nowMs);
    }
}
