<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** A sealed, numbered programme of a surface. Never changed. */
#[ORM\Entity, ORM\Table(name: 'programme')]
class ProgrammeRow
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    /** @param array<string, mixed> $content */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public SurfaceRow $surface,
        #[ORM\Column] public int $number,
        #[ORM\Column(length: 64)] public string $sha256,
        #[ORM\Column(length: 64)] public string $folder,
        #[ORM\Column(type: 'json')] public array $content,
        #[ORM\Column(type: 'datetime_immutable')] public \DateTimeImmutable $at,
    ) {
    }
}
