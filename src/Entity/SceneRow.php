<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** One scene of a design, so that an edit writes little. */
#[ORM\Entity, ORM\Table(name: 'scene')]
class SceneRow
{
    /** @param array<string, mixed> $document */
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public DesignRow $design,
        #[ORM\Id, ORM\Column(length: 64)] public string $scene,
        #[ORM\Column] public int $position,
        #[ORM\Column(type: 'packed_json')] public array $document,
    ) {
    }
}
