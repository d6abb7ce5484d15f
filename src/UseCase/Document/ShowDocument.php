<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Document;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Documents;

/** A document as it is, what was done to it, and whether anything was done since someone looked. */
final readonly class ShowDocument
{
    public function __construct(private Documents $documents, private Desks $desks)
    {
    }

    /** @return array<string, mixed> */
    public function whole(string $id, Person $person, View $view): array
    {
        [$head, $desk] = $this->desks->open($id, $person);

        return $desk->whole($head, $person, $view) + ['between' => []];
    }

    /** @return array{revision: int, revisions: list<array<string, mixed>>} the latest first */
    public function history(string $id, Person $person): array
    {
        [$head] = $this->desks->open($id, $person);

        return ['revision' => $head->revision, 'revisions' => $this->documents->lines($id, -1)];
    }

    /**
     * @return array{revision: int, revisions: list<array<string, mixed>>} only those after a revision, the latest first
     */
    public function since(string $id, int $revision, Person $person): array
    {
        [$head] = $this->desks->open($id, $person);

        return [
            'revision' => $head->revision,
            'revisions' => $revision >= $head->revision ? [] : $this->documents->lines($id, $revision),
        ];
    }
}
