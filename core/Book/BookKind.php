<?php

declare(strict_types=1);

namespace UpperPane\Core\Book;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Commands;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\OnePart;
use UpperPane\Core\Change\Scopes;

/**
 * A site's book as one kind of document, all in one part.
 *
 * @extends OnePart<Book>
 */
final class BookKind extends OnePart
{
    public const NAME = 'book';

    public function name(): string
    {
        return self::NAME;
    }

    public function read(Input $input): Book
    {
        return Book::parse($input);
    }

    public function commands(): Commands
    {
        return Commands::of([
            [PutGroup::NAME, PutGroup::class],
            [RemoveGroup::NAME, RemoveGroup::class],
            [MoveGroup::NAME, MoveGroup::class],
        ]);
    }

    public function versions(Document $theirs, Document $mine, Scopes $touched): array
    {
        $lines = [];
        foreach ($touched->all() as $scope) {
            [$what, $id] = [...$scope->path(), ''];
            $said = static fn (Book $book): ?string => $what === 'groups'
                ? $book->groups[$id] ?? null
                : implode(', ', $book->groups);
            $lines[] = ['what' => 'field', 'field' => $what, 'theirs' => $said($theirs), 'yours' => $said($mine)];
        }

        return $lines;
    }
}
