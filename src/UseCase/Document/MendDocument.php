<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Document;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Mending;
use UpperPane\App\Repository\Sites;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Nature;

/** Restores a document that cannot be read from its history, as the next revision. Sent again, it is not done twice. */
final readonly class MendDocument
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Documents $documents,
        private Mending $mending,
        private Sites $sites,
        private Desks $desks,
        private Gate $gate,
    ) {
    }

    /**
     * @return array{revision: int, from: int} from which revision it was had
     *
     * @throws Conflict `document.whole`, `document.lost`
     */
    public function __invoke(string $id, Input $input, Person $person): array
    {
        $batch = $input->keys(['batch'])->uuid('batch');

        return $this->entities->wrapInTransaction(function () use ($id, $batch, $person): array {
            $place = $this->mending->place($id) ?? throw Absent::named('document');
            $desk = $this->desks->of($place['kind']);
            $site = $this->sites->byId($place['site']) ?? throw Absent::named('site');
            $this->gate->demandOn($person, $desk->right(), $site, $this->desks->thing($id, $place['surface']));
            $known =
                $this->documents->knows($batch, $id, $person, Nature::Mend) ??
                throw Conflict::because('request.id_taken', ['id' => $batch]);
            if ($known) {
                return ['revision' => $place['revision'], 'from' => $place['revision']];
            }
            if ($this->isWhole($id)) {
                throw Conflict::because('document.whole');
            }
            [$document, $from] =
                $this->mending->latest($id, $place['kind']) ?? throw Conflict::because('document.lost');
            $this->mending->store($id, $batch, $place['revision'], $document, $from, $person);
            $head = new LoadedDocument(
                $id,
                $place['kind'],
                $place['site'],
                $place['surface'],
                $place['area'],
                $place['revision'] + 1,
                $document,
            );
            $desk->follow($head, $document, true);

            return ['revision' => $head->revision, 'from' => $from];
        });
    }

    private function isWhole(string $id): bool
    {
        try {
            $this->documents->load($id)?->document->toArray();

            return true;
        } catch (Refusal) {
            return false;
        }
    }
}
