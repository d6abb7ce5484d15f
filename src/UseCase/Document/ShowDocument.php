<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Document;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\Presence;

/** A document as it is, what was done to it, and whether anything was done since someone looked. */
final readonly class ShowDocument
{
    private const PAGE = 100;

    public function __construct(private Documents $documents, private Desks $desks, private Presence $presence)
    {
    }

    /** @return array<string, mixed> */
    public function whole(string $id, Person $person, View $view): array
    {
        [$head, $desk] = $this->desks->open($id, $person);

        // Looked at before: whatever changes meanwhile is heard of later, once too often rather than never.
        $depends = $desk->dependsOn($head)->text();

        return $desk->whole($head, $person, $view) + ['between' => [], 'depends' => $depends];
    }

    /**
     * @return array{revision: int, revisions: list<array<string, mixed>>} a page of those before a revision, the latest
     *     first
     */
    public function history(string $id, int $before, Person $person): array
    {
        [$head] = $this->desks->open($id, $person);

        return ['revision' => $head->revision, 'revisions' => $this->documents->lines($id, -1, self::PAGE, $before)];
    }

    /**
     * @param string $spot where in it the person is
     *
     * @return array{revision: int, depends: string, revisions: list<array<string, mixed>>,
     *     here: list<array{name: string, spot: string}>} only those after a revision, the latest first; who else has it
     *     open; and in which versions it uses others
     */
    public function since(string $id, int $revision, string $spot, Person $person): array
    {
        [$head, $desk] = $this->desks->open($id, $person);

        return [
            'revision' => $head->revision,
            'depends' => $desk->dependsOn($head)->text(),
            'revisions' => $revision >= $head->revision ? [] : $this->documents->lines($id, $revision),
            'here' => $this->presence->seen($id, $person, $spot),
        ];
    }
}
