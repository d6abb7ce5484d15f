<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

use UpperPane\Core\Geometry\Size;

/**
 * What is known of one medium of the Stock. `size` is as shown: EXIF orientation, video rotation and pixel ratio
 * applied. It is null until the worker has looked; `durationMs` is null for pictures.
 */
final readonly class MediaFacts
{
    public MediaNotes $notes;

    /** @param list<Opening> $openings in source px; of art with alpha */
    public function __construct(
        public string $id,
        public string $name,
        public string $sha256,
        public string $mime,
        public int $bytes,
        public ?Size $size,
        public ?int $durationMs,
        public array $openings = [],
        ?MediaNotes $notes = null,
    ) {
        $this->notes = $notes ?? MediaNotes::none();
    }

    public function isVideo(): bool
    {
        return str_starts_with($this->mime, 'video/');
    }
}
