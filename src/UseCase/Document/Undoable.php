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
        // What was done just now is what undo takes back first, and nothing is left for redo.
        if ($head->edited !== null) {
            return ['undo' => $head->edited, 'redo' => null];
        }

        return array_map(
            fn (?Step $step) => $step === null ? null : $this->documents->labels($head->id, $step->number),
            History::next($this->documents->newestOf($head->id, $person), (string) $person->id),
        );
    }
}
