<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Notes;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\UseCase\Document\Depends;
use UpperPane\App\UseCase\Document\Desk;
use UpperPane\App\UseCase\Document\Undoable;
use UpperPane\App\UseCase\Document\View;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Site\Right;

/** @implements Desk<Notes> */
final readonly class NotesDesk implements Desk
{
    public function __construct(private Undoable $undoable)
    {
    }

    public static function kind(): string
    {
        return NotesKind::NAME;
    }

    public function right(): Right
    {
        return Right::Design;
    }

    public function name(Document $document): string
    {
        return 'Notes';
    }

    public function follow(LoadedDocument $before, Document $after, bool $sure): void
    {
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
        return ['revision' => $head->revision, 'undo' => $this->undoable->describe($head, $person)] +
            $head->document->toArray();
    }

    public function changed(LoadedDocument $head, Document $seen, Person $person, View $view): array
    {
        return $this->whole($head, $person, $view);
    }
}
