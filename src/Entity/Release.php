<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** A sealed, numbered snapshot of a design on its surface. Never changed. */
#[ORM\Entity, ORM\Table(name: 'release_')]
class Release
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    /**
     * @param array<string, mixed>       $document
     * @param array<string, mixed>       $plan
     * @param list<array<string, mixed>> $findings
     */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public DocumentRow $design,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public SurfaceRow $surface,
        #[ORM\Column] public int $number,
        #[ORM\Column] public int $revision,
        #[ORM\Column(length: 500)] public string $note,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public Person $author,
        #[ORM\Column(type: 'datetime_immutable')] public \DateTimeImmutable $at,
        #[ORM\Column(type: 'json')] public array $document,
        #[ORM\Column(type: 'json')] public array $plan,
        #[ORM\Column(type: 'json')] public array $findings,
        #[ORM\Column(length: 64)] public string $sha256,
        #[ORM\Column(length: 64)] public string $folder,
        #[ORM\Column(length: 36, nullable: true, unique: true)] public ?string $madeAs = null,
    ) {
    }
}
