<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use UpperPane\Core\Change\Document;

/** A document as it lies in the store. */
final readonly class LoadedDocument
{
    /**
     * @param ?int $surfaceId what a design is made for
     * @param bool $older     its parts lie in an older version, and are written whole with the next change
     * @param ?list<array<string, mixed>> $edited labels of the edit that made it just now
     */
    public function __construct(
        public string $id,
        public string $kind,
        public int $siteId,
        public ?int $surfaceId,
        public ?string $area,
        public int $revision,
        public Document $document,
        public bool $older = false,
        public ?array $edited = null,
        public ?int $removedMs = null,
    ) {
    }

    /** @param ?list<array<string, mixed>> $edited labels, when it was an edit */
    public function at(int $revision, Document $document, ?array $edited): self
    {
        return new self(
            $this->id,
            $this->kind,
            $this->siteId,
            $this->surfaceId,
            $this->area,
            $revision,
            $document,
            edited: $edited,
        );
    }
}
