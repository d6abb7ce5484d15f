<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Document;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\Core\Change\History;
use UpperPane\Core\Change\Step;

/** What undo and redo would take next, for their buttons. */
final readonly class Undoable
{
    public function __construct(private Documents $documents)
    {
    }

    /**
     * @return array{undo: ?list<array<string, mixed>>, redo: ?list<array<string, mixed>>} labels; null when there is
     *     nothing
     */
    public function describe(LoadedDocument $head, Person $person): array
    {
        $author = (string) $person->id;
        $undo = History::nextUndo($this->documents->newestOf($head->id, $person), $author);
        $redo = History::nextRedo($this->documents->newestOf($head->id, $person), $author);

        return ['undo' => $this->labels($head, $undo), 'redo' => $this->labels($head, $redo)];
    }

    /** @return ?list<array<string, mixed>> */
    private function labels(LoadedDocument $head, ?Step $step): ?array
    {
        return $step === null ? null : $this->documents->labels($head->id, $step->number);
    }
}
