<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** A place with one time zone and an address, where displays hang. */
#[ORM\Entity, ORM\Table(name: 'site')]
class Site
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    /** Where its acts lie for its players: nobody else knows. */
    #[ORM\Column(length: 64, unique: true)]
    public string $actsKey;

    public function __construct(
        #[ORM\Column(length: 60, unique: true)] public string $slug,
        #[ORM\Column(length: 120)] public string $name,
        #[ORM\Column(length: 250)] public string $address,
        #[ORM\Column(length: 60)] public string $timeZone,
    ) {
        $this->actsKey = bin2hex(random_bytes(20));
    }
}
