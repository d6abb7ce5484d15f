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
    /** Media type of a page that is shown from the package. */
    public const PAGE = 'text/html';

    public MediaNotes $notes;

    /**
     * @param list<Opening>             $openings in source px; of art with alpha
     * @param ?\Closure(): ?LightGrid $light    how light it is, fetched when somebody asks
     */
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
        private ?\Closure $light = null,
    ) {
        $this->notes = $notes ?? MediaNotes::none();
    }

    /** Null where nobody has looked. */
    public function light(): ?LightGrid
    {
        return $this->light === null ? null : ($this->light)();
    }

    public function isVideo(): bool
    {
        return str_starts_with($this->mime, 'video/');
    }
}
