<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** What a release shows on one of its surfaces, as it was sealed. */
#[ORM\Entity, ORM\Table(name: 'release_plan')]
class ReleasePlan
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    /**
     * @param array<string, mixed>       $plan
     * @param list<array<string, mixed>> $findings there
     * @param ?string                    $inputs   SHA-256 of what it was compiled of; null until a chore has rebuilt it
     * @param array<string, mixed>|null  $madeOf   the sums of its parts
     * @param bool                       $rebuilt  of a release made before there were inputs: of its design's revision
     *                                             and the rest as it was then found
     */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public Release $release,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public SurfaceRow $surface,
        #[ORM\Column(type: 'json')] public array $plan,
        #[ORM\Column(type: 'json')] public array $findings,
        #[ORM\Column(length: 64)] public string $sha256,
        #[ORM\Column(length: 64)] public string $folder,
        #[ORM\Column(length: 64, nullable: true)] public ?string $inputs = null,
        #[ORM\Column(type: 'json', nullable: true)] public ?array $madeOf = null,
        #[ORM\Column] public bool $rebuilt = false,
    ) {
    }
}
