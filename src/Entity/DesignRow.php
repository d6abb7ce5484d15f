<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/**
 * A design's head: all but its scenes. `revision` rises by one with every batch and is the lock. `area` names the part of
 * its surface that it is for.
 */
#[ORM\Entity, ORM\Table(name: 'design')]
class DesignRow
{
    #[ORM\Column]
    public int $revision = 0;

    #[ORM\Column(type: 'datetime_immutable')]
    public \DateTimeImmutable $changedAt;

    #[ORM\ManyToOne]
    public ?Person $changedBy = null;

    /** @param array<string, mixed> $head */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 36)] public string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public SurfaceRow $surface,
        #[ORM\Column(length: 120)] public string $name,
        #[ORM\Column(type: 'json')] public array $head,
        \DateTimeImmutable $at,
        #[ORM\Column(length: 60, nullable: true)] public ?string $area = null,
    ) {
        $this->changedAt = $at;
    }
}
