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
        /** @var Subject<Document> $subject each knows its own kind, as the kinds themselves do */
        $subject = self::made($kind);

        return $subject;
    }

    private static function made(string $kind): object
    {
        return match ($kind) {
            'design' => new DesignSubject(),
            'surface' => new SheetSubject(),
            'starters' => new StartersSubject(),
            'style' => new StyleSubject(),
            'book' => new BookSubject(),
            default => throw new \LogicException("Write a subject for “{$kind}”, so that its commands are guarded."),
        };
    }
}
