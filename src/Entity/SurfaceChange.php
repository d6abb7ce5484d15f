<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;

/** One change of a surface: which fields it set, what they were before, who did it when. Never changed, but for `undone`. */
#[ORM\Entity, ORM\Table(name: 'surface_change')]
class SurfaceChange
{
    public const EDIT = 'edit';
    public const UNDO = 'undo';
    public const REDO = 'redo';

    #[ORM\Id, ORM\GeneratedValue, ORM\Column(type: 'bigint')]
    public string $id;

    #[ORM\Column]
    public bool $undone = false;

    /**
     * @param string               $kind   {@see EDIT}, {@see UNDO} or {@see REDO}
     * @param array<string, mixed> $before
     * @param array<string, mixed> $after
     */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public SurfaceRow $surface,
        #[ORM\Column] public int $number,
        #[ORM\Column(length: 36, unique: true)] public string $sentAs,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public Person $author,
        #[ORM\Column(type: 'datetime_immutable')] public \DateTimeImmutable $at,
        #[ORM\Column(length: 10)] public string $kind,
        #[ORM\Column(name: 'before_fields', type: 'json')] public array $before,
        #[ORM\Column(name: 'after_fields', type: 'json')] public array $after,
    ) {
    }
}
