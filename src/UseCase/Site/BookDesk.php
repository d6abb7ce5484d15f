<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Site;

use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Sites;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Document\Depends;
use UpperPane\App\UseCase\Document\Desk;
use UpperPane\App\UseCase\Document\Undoable;
use UpperPane\App\UseCase\Document\View;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Book\Book;
use UpperPane\Core\Book\BookKind;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Site\Right;

/**
 * A site's book; a group that surfaces belong to stays.
 *
 * @implements Desk<Book>
 */
final readonly class BookDesk implements Desk
{
    public function __construct(private Sites $sites, private Surfaces $surfaces, private Undoable $undoable)
    {
    }

    public static function kind(): string
    {
        return BookKind::NAME;
    }

    public function right(): Right
    {
        return Right::Mount;
    }

    public function name(Document $document): string
    {
        return 'Book';
    }

    public function follow(LoadedDocument $before, Document $after, bool $sure): void
    {
        $book = $before->document;
        $site = $this->sites->byId($before->siteId) ?? throw Absent::named('site');
        foreach (array_keys($book instanceof Book ? array_diff_key($book->groups, $after->groups) : []) as $group) {
            $in = array_filter(
                $this->surfaces->of($site),
                static fn (SurfaceRow $row) => in_array((string) $group, $row->groups, true),
            );
            if ($in !== []) {
                throw Refusal::because('group.in_use', '/commands/0/group', [
                    'surfaces' => array_values(array_map(static fn (SurfaceRow $row) => $row->name, $in)),
                ]);
            }
        }
    }

    public function uses(LoadedDocument $head): ?array
    {
        return null;
    }

    public function dependsOn(LoadedDocument $head): Depends
    {
        return Depends::onNothing();
    }

    public function whole(LoadedDocument $head, Person $person, View $view): array
    {
        return [
            'revision' => $head->revision,
            'whole' => true,
            'undo' => $this->undoable->describe($head, $person),
            'groups' => self::groups($head->document),
        ];
    }

    public function changed(LoadedDocument $head, Document $seen, Person $person, View $view): array
    {
        return $this->whole($head, $person, $view);
    }

    /** @return list<array{id: string, name: string}> in their order */
    public static function groups(Document $book): array
    {
        $groups = $book instanceof Book ? $book->groups : [];

        return array_map(
            static fn (int|string $id, string $name) => ['id' => (string) $id, 'name' => $name],
            array_keys($groups),
            $groups,
        );
    }
}
