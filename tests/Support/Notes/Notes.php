<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Notes;

use UpperPane\Core\Change\Document;

/**
 * A kind of document that only the tests know: notes by id. It shows what a new kind brings, and that it gets the rest.
 */
final readonly class Notes implements Document
{
    /** @param array<string, string> $notes */
    public function __construct(public array $notes)
    {
    }

    public function toArray(): array
    {
        $notes = $this->notes;
        ksort($notes);

        return ['notes' => (object) $notes];
    }
}
