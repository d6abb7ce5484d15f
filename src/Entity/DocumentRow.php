<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/**
 * A document's line in lists: what it is, where it belongs, how far it has come. Its contents lie in parts, its history
 * in revisions; both are written by {@see \UpperPane\App\Repository\Documents} alone.
 */
#[ORM\Entity(readOnly: true), ORM\Table(name: 'document')]
class DocumentRow
{
    #[ORM\Id, ORM\Column(length: 36)]
    public string $id;

    #[ORM\Column(length: 20)]
    public string $kind;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    public Site $site;

    /** What a design is made for. */
    #[ORM\ManyToOne]
    public ?SurfaceRow $surface = null;

    /** The part of its surface that a design is for; null for the whole. */
    #[ORM\Column(length: 60, nullable: true)]
    public ?string $area = null;

    #[ORM\Column(length: 120)]
    public string $name;

    #[ORM\Column]
    public int $revision;

    #[ORM\Column(type: 'datetime_immutable')]
    public \DateTimeImmutable $changedAt;

    #[ORM\ManyToOne]
    public ?Person $changedBy = null;

    #[ORM\Column]
    public bool $archived = false;

    /** When it was removed; it can be brought back for a month. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $removedMs = null;

    /** @var Collection<int, SurfaceRow> what a design is meant for beside the surface it is made on */
    #[ORM\ManyToMany(targetEntity: SurfaceRow::class),
        ORM\JoinTable(name: 'design_surface'),
        ORM\JoinColumn(name: 'design_id'),
        ORM\InverseJoinColumn(name: 'surface_id'),]
    public Collection $surfaces;

    public function __construct()
    {
        $this->surfaces = new ArrayCollection();
    }
}
