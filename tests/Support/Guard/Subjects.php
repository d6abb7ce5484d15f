<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Guard;

use UpperPane\Core\Change\Document;

/** The subject of each kind of document. */
final class Subjects
{
    /** @return Subject<Document> */
    public static function of(string $kind): Subject
    {
        return match ($kind) {
            'design' => new DesignSubject(),
            'surface' => new SheetSubject(),
            'starters' => new StartersSubject(),
            'book' => new BookSubject(),
            'style' => new StyleSubject(),
            default => throw new \LogicException("Write a subject for “{$kind}”, so that its commands are guarded."),
        };
    }
}
