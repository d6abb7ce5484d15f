<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** What one designs for: `shape` is what the core reads as a surface; canvas px are kept as columns for listing. */
#[ORM\Entity, ORM\Table(name: 'surface')]
class SurfaceRow
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    /** @param array<string, mixed> $shape */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public Site $site,
        #[ORM\Column(length: 60, unique: true)] public string $code,
        #[ORM\Column(length: 120)] public string $name,
        #[ORM\Column(length: 20)] public string $kind,
        #[ORM\Column(type: 'json')] public array $shape,
        #[ORM\Column] public int $canvasWidth,
        #[ORM\Column] public int $canvasHeight,
        #[ORM\Column] public int $leftMm,
        #[ORM\Column] public int $floorMm,
    ) {
    }
}
