<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Document;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\References;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;

/**
 * Takes a document out of all lists; it is kept for a month, and whoever may change it can bring it back as it was. One
 * that something uses is refused with its uses: they are held against the same lock that whoever refers to it takes.
 */
final readonly class RemoveDocument
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Documents $documents,
        private Desks $desks,
        private References $references,
        private ShiftedClock $clock,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /** @throws Conflict `document.in_use`, `document.kept` for a kind that is never removed by itself */
    public function remove(string $id, Person $person): void
    {
        $this->entities->wrapInTransaction(function () use ($id, $person): void {
            [$loaded, $desk] = $this->desks->found($id, $person, true);
            $name = $desk->name($loaded->document);
            $uses = $desk->uses($loaded) ?? throw Conflict::because('document.kept', ['name' => $name]);
            if ($uses !== []) {
                throw Conflict::because('document.in_use', ['name' => $name, 'uses' => $uses]);
            }
            // Sent again, the month goes on from the first time.
            if ($loaded->removedMs === null) {
                $this->documents->remove($id, $this->clock->nowMs(), $person);
                $this->recorder->record($person, 'document.remove', $id, ['name' => $name, 'kind' => $loaded->kind]);
            }
        });
    }

    public function bringBack(string $id, Person $person): void
    {
        $this->entities->wrapInTransaction(function () use ($id, $person): void {
            [$loaded, $desk] = $this->desks->found($id, $person, true);
            if ($loaded->removedMs !== null) {
                $this->documents->remove($id, null, $person);
                $this->recorder->record($person, 'document.back', $id, ['name' => $desk->name($loaded->document)]);
            }
        });
    }

    /**
     * @return array{uses: ?list<string>, by: list<array{id: string, kind: string, name: string}>} what keeps it from
     *     being removed, null: it is never removed by itself; `by`: the documents that use it
     */
    public function uses(string $id, Person $person): array
    {
        [$loaded, $desk] = $this->desks->open($id, $person);

        return ['uses' => $desk->uses($loaded), 'by' => $this->references->usersOf($id)];
    }

    /**
     * @return array{removed: list<array<string, mixed>>} what can be brought back at a site
     *
     * @throws Absent
     */
    public function list(string $slug, Person $person): array
    {
        $site = $this->gate->site($slug, $person);
        $now = $this->clock->nowMs();

        return ['removed' => array_map(
            static fn (array $one) => $one + ['days' => Desks::daysLeft($one['removed_ms'], $now)],
            $this->documents->removed($site->id),
        )];
    }
}
