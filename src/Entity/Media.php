<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Picture\MediaNotes;

/**
 * A file of the Stock. Its bytes lie under its SHA-256; px and duration are null until the worker has looked. Where
 * players could not show it, `original` is what was uploaded, which stays, and the medium is what was made of it.
 */
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

    #[ORM\Column(length: 64, nullable: true)]
    public ?string $originalSha256 = null;

    /** @var array{mime: string, bytes: int, codec: string, why: list<string>}|null */
    #[ORM\Column(type: 'json', nullable: true)]
    public ?array $original = null;

    /** @var list<array<string, mixed>>|null of art with alpha, as the core writes them */
    #[ORM\Column(type: 'json', nullable: true)]
    public ?array $openings = null;

    /** @var array{family: string, weight: int, embedding: string, glyphs: int}|null of a font */
    #[ORM\Column(type: 'json', nullable: true)]
    public ?array $font = null;

    /** Bits of each colour when it came; null where nobody has looked, and for fonts and pages. */
    #[ORM\Column(nullable: true)]
    public ?int $depth = null;

    #[ORM\Column(nullable: true)]
    public ?bool $alpha = null;

    /** When it was taken out of the Stock; what was written in a font is still drawn with it. */
    #[ORM\Column(type: 'bigint', nullable: true)]
    public ?int $takenMs = null;

    /** @var list<array<string, mixed>> what it was before it was replaced, latest first, as {@see content()} says it */
    #[ORM\Column(type: 'json')]
    public array $earlier = [];

    /** @var array<string, mixed> as {@see MediaNotes} writes them */
    #[ORM\Column(type: 'json')]
    public array $notes = ['tags' => [], 'licence' => '', 'until' => null, 'folder' => ''];

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

    public function isFont(): bool
    {
        return self::kindOf($this->mime) === 'font';
    }

    public function isPage(): bool
    {
        return self::kindOf($this->mime) === 'page';
    }

    /** What it is put into a zone as, or a font. */
    public function kind(): string
    {
        return self::kindOf($this->mime);
    }

    public static function kindOf(string $mime): string
    {
        return match (true) {
            str_starts_with($mime, 'font/') => 'font',
            in_array($mime, ['application/zip', MediaFacts::PAGE], true) => 'page',
            default => FillKind::ofMedium($mime)->value,
        };
    }

    public function notes(): MediaNotes
    {
        return MediaNotes::parse(Input::of($this->notes));
    }

    /** One of the same file, as another page of it. */
    public function another(string $id, string $name): self
    {
        $file = [$this->sha256, $this->mime, $this->bytes];

        return new self($id, $this->site, $name, ...$file, addedAt: $this->addedAt, addedBy: $this->addedBy);
    }

    /** @return array<string, mixed> all that a file is but its id, its site and its place in the Stock */
    public function content(): array
    {
        return [
            'name' => $this->name,
            'sha256' => $this->sha256,
            'mime' => $this->mime,
            'bytes' => $this->bytes,
            'width' => $this->width,
            'height' => $this->height,
            'durationMs' => $this->durationMs,
            'originalSha256' => $this->originalSha256,
            'original' => $this->original,
            'openings' => $this->openings,
            'depth' => $this->depth,
            'alpha' => $this->alpha,
        ];
    }

    /** @param array<string, mixed> $content as {@see content()} says it */
    public function hold(array $content, \DateTimeImmutable $now, string $by): void
    {
        $was = $this->content() + ['until' => $now->format(\DATE_RFC3339), 'by' => $by];
        $kept = array_filter(
            $this->earlier,
            static fn (array $one) => !in_array($one['sha256'], [$content['sha256'], $was['sha256']], true),
        );
        $this->earlier = [$was, ...array_values($kept)];
        foreach (array_intersect_key($content, $this->content()) as $property => $value) {
            $this->$property = $value;
        }
    }

    /** @param array{codec: string, why: list<string>} $facts of what was uploaded */
    public function becomes(string $sha256, string $mime, int $bytes, array $facts): void
    {
        $this->originalSha256 = $this->sha256;
        $this->original = [
            'mime' => $this->mime,
            'bytes' => $this->bytes,
            'codec' => $facts['codec'],
            'why' => $facts['why'],
        ];
        [$this->sha256, $this->mime, $this->bytes] = [$sha256, $mime, $bytes];
    }

    public function fail(Refusal $why): void
    {
        $this->state = self::FAILED;
        $this->fault = ['code' => $why->refusalCode, 'params' => $why->params];
    }
}
