<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;
use UpperPane\Core\Plan\Programme;

/** A release given to a surface: shown from `startMs` on. The one with the highest number is in force. */
#[ORM\Entity, ORM\Table(name: 'hand_off')]
class HandOff
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    /** @param ?Player $player the only one that it was given to, before surfaces had programmes */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public SurfaceRow $surface,
        #[ORM\ManyToOne(targetEntity: Release::class),
            ORM\JoinColumn(name: 'release_id', nullable: false),]
        public Release $release,
        #[ORM\Column] public int $number,
        #[ORM\Column(type: 'bigint')] public int $startMs,
        #[ORM\ManyToOne, ORM\JoinColumn(name: 'by_id', nullable: false)] public Person $by,
        #[ORM\Column(type: 'datetime_immutable')] public \DateTimeImmutable $at,
        #[ORM\ManyToOne] public ?ProgrammeRow $programme = null,
        #[ORM\Column(length: 36, nullable: true, unique: true)] public ?string $madeAs = null,
        #[ORM\ManyToOne] public ?Player $player = null,
    ) {
    }

    /** When what it shows began, in ms: the same plan goes on from its own start (model §6). */
    public function showsSinceMs(): int
    {
        $showing = $this->programme === null ? null : Programme::read($this->programme->content)->at($this->startMs);

        return $showing->startMs ?? $this->startMs;
    }
}
