<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Guard;

use Random\Randomizer;
use UpperPane\Core\Book\Book;
use UpperPane\Core\Change\Document;

/** @extends PlainSubject<Book> */
final class BookSubject extends PlainSubject
{
    public function begun(): Book
    {
        return Book::of(['g-hall0000' => 'Hall', 'g-gates000' => 'Gates']);
    }

    public function place(array $path): array
    {
        return $path === ['order'] ? ['group_order'] : $path;
    }

    public function command(Document $document, Randomizer $random, string $new): array
    {
        $whole = $random->getInt(...);
        $group = static fn (): string => ['g-hall0000', 'g-gates000', 'g-cafe0000', 'g-quay0000'][$whole(0, 3)];

        return match ($whole(0, 3)) {
            0 => ['do' => 'group.remove', 'group' => $group()],
            1 => ['do' => 'group.move', 'group' => $group(), 'before' => $whole(0, 2) === 0 ? null : $group()],
            default => ['do' => 'group.put', 'group' => $group(), 'name' => 'Named '.$whole(1, 9)] +
                ($whole(0, 1) === 0 ? [] : ['before' => $group()]),
        };
    }
}
