<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;
use UpperPane\Core\Base\Refusal;

/** A file of the Stock. Its bytes lie under its SHA-256; px and duration are null until the worker has looked. */
#[ORM\Entity, ORM\Table(name: 'media')]
class Media
{
    public const WAITING = 'waiting';
    public const READY = 'ready';
    public const FAILED = 'failed';

    #[ORM\Column(length: 10)]
    public string $state = self::WAITING;

    #[ORM\Column(nullable: true)]
    public ?int $width = null;

    #[ORM\Column(nullable: true)]
    public ?int $height = null;

    #[ORM\Column(nullable: true)]
    public ?int $durationMs = null;

    /** @var array{code: string, params: array<string, string|int|list<string>>}|null why it cannot be used */
    #[ORM\Column(type: 'json', nullable: true)]
    public ?array $fault = null;

    public function __construct(
        #[ORM\Id, ORM\Column(length: 36)] public string $id,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public Site $site,
        #[ORM\Column(length: 250)] public string $name,
        #[ORM\Column(length: 64)] public string $sha256,
        #[ORM\Column(length: 60)] public string $mime,
        #[ORM\Column(type: 'bigint')] public int $bytes,
        #[ORM\Column(type: 'datetime_immutable')] public \DateTimeImmutable $addedAt,
        #[ORM\ManyToOne] public ?Person $addedBy,
    ) {
    }

    public function fail(Refusal $why): void
    {
        $this->state = self::FAILED;
        $this->fault = ['code' => $why->refusalCode, 'params' => $why->params];
    }
}
