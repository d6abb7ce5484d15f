<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Guard;

use UpperPane\Core\Change\Document;

/**
 * One whose every byte counts, the order of its members too.
 *
 * @template D of Document
 *
 * @implements Subject<D>
 */
abstract class PlainSubject implements Subject
{
    public function inverses(): array
    {
        return [];
    }

    public function place(array $path): ?array
    {
        return $path;
    }

    public function bytes(Document $document): string
    {
        return json_encode($document->toArray(), \JSON_THROW_ON_ERROR);
    }

    public function common(Document $document, Document $before): string
    {
        return $this->bytes($document);
    }
}
