<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** One batch that was applied: what was asked, what takes it back, what it touched, and who did it when. Never changed, but for `undone`. */
#[ORM\Entity, ORM\Table(name: 'revision')]
class Revision
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column(type: 'bigint')]
    public string $id;

    #[ORM\Column]
    public bool $undone = false;

    /** @var array<string, mixed>|null the whole design after it; on every 64th revision */
    #[ORM\Column(type: 'json', nullable: true)]
    public ?array $keyframe = null;

    /**
     * @param list<array<string, mixed>> $commands
     * @param list<array<string, mixed>> $inverses
     * @param list<array<string, mixed>> $patch
     * @param list<string>               $reads
     * @param list<string>               $writes
     */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public DesignRow $design,
        #[ORM\Column] public int $number,
        #[ORM\Column(length: 36, unique: true)] public string $batch,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public Person $author,
        #[ORM\Column(type: 'datetime_immutable')] public \DateTimeImmutable $at,
        #[ORM\Column(length: 10)] public string $kind,
        #[ORM\Column(length: 250)] public string $label,
        #[ORM\Column(type: 'json')] public array $commands,
        #[ORM\Column(type: 'json')] public array $inverses,
        #[ORM\Column(type: 'json')] public array $patch,
        #[ORM\Column(name: 'reads_ids', type: 'json')] public array $reads,
        #[ORM\Column(name: 'writes_ids', type: 'json')] public array $writes,
    ) {
    }
}
