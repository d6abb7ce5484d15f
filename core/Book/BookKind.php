<?php

declare(strict_types=1);

namespace UpperPane\Core\Book;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Commands;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Kind;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Change\Stored;

/**
 * A site's book as one kind of document, all in one part.
 *
 * @implements Kind<Book>
 */
final class BookKind implements Kind
{
    public const NAME = 'book';
    private const HEAD = 'head';

    public function name(): string
    {
        return self::NAME;
    }

    public function upgraded(array $parts): array
    {
        return $parts;
    }

    public function stored(array $parts): Book
    {
        return Stored::read('', static function () use ($parts): Book {
            $head = json_decode($parts[self::HEAD] ?? '', false, 512, \JSON_THROW_ON_ERROR);

            return Book::parse(Input::json($head));
        });
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

    public function parts(Document $document, ?Document $before = null): array
    {
        return [
            self::HEAD => json_encode(
                $document->toArray(),
                \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
            ),
        ];
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
