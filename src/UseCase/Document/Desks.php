<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Document;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Sites;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Forbidden;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Site\Right;

/** Opens documents for people: the document, and the desk of its kind. */
final readonly class Desks
{
    /** @param iterable<Desk<Document>> $desks */
    public function __construct(
        #[AutowireIterator('upper_pane.desk')] private iterable $desks,
        private Documents $documents,
        private Sites $sites,
        private Gate $gate,
    ) {
    }

    /**
     * @return array{LoadedDocument, Desk<Document>}
     *
     * @throws Absent|Forbidden
     */
    public function open(string $id, Person $person, bool $toChange = false): array
    {
        $loaded = $this->documents->load($id, $toChange) ?? throw Absent::named('document');
        $desk = $this->of($loaded->kind);
        $this->gate->demand(
            $person,
            $toChange ? $desk->right() : Right::See,
            $this->sites->byId($loaded->siteId) ?? throw Absent::named('site'),
        );

        return [$loaded, $desk];
    }

    /** @return Desk<Document> */
    public function of(string $kind): Desk
    {
        foreach ($this->desks as $desk) {
            if ($desk->kind() === $kind) {
                return $desk;
            }
        }
        throw new \LogicException("No desk for documents of kind $kind.");
    }
}
