<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

/** Where a plan looks up the media that fills refer to. */
interface MediaShelf
{
    public function find(string $id): ?MediaFacts;
}
