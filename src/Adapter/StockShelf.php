<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Picture\MediaShelf;

/** The media a design refers to, fetched in one query before the core asks for them one by one. */
final readonly class StockShelf implements MediaShelf
{
    /** @param array<string, MediaFacts> $media */
    public function __construct(private array $media)
    {
    }

    public function find(string $id): ?MediaFacts
    {
        return $this->media[$id] ?? null;
    }
}
