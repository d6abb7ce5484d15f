<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** A sealed, numbered snapshot of a design; its plans, one per surface, are {@see ReleasePlan}s. Never changed. */
#[ORM\Entity, ORM\Table(name: 'release_')]
class Release
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    /** @param array<string, mixed> $document */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public DocumentRow $design,
        #[ORM\Column] public int $number,
        #[ORM\Column] public int $revision,
        #[ORM\Column(length: 500)] public string $note,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public Person $author,
        #[ORM\Column(type: 'datetime_immutable')] public \DateTimeImmutable $at,
        #[ORM\Column(type: 'json')] public array $document,
        #[ORM\Column(length: 36, nullable: true, unique: true)] public ?string $madeAs = null,
    ) {
    }
}
