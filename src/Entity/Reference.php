<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** A design uses a medium: for "where used". */
#[ORM\Entity, ORM\Table(name: 'reference')]
class Reference
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public DesignRow $design,
        #[ORM\Id, ORM\Column(length: 36)] public string $media,
    ) {
    }
}
