<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Document;

use Psr\Container\ContainerInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireLocator;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Sites;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Forbidden;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Site\Right;
use UpperPane\Core\Site\Thing;

/** Opens documents for people: the document, and the desk of its kind. */
final readonly class Desks
{
    public const KEPT_DAYS = 30;

    /** @param ContainerInterface $desks by kind; only the one that is asked for is made */
    public function __construct(
        #[AutowireLocator('upper_pane.desk', defaultIndexMethod: 'kind')] private ContainerInterface $desks,
        private Documents $documents,
        private Sites $sites,
        private Surfaces $surfaces,
        private Gate $gate,
        private ShiftedClock $clock,
    ) {
    }

    /**
     * @return array{LoadedDocument, Desk<Document>}
     *
     * @throws Absent|Forbidden
     * @throws Conflict         `document.removed`
     */
    public function open(string $id, Person $person, bool $toChange = false): array
    {
        [$loaded, $desk] = $this->found($id, $person, $toChange);
        if ($loaded->removedMs !== null) {
            throw Conflict::because('document.removed', [
                'name' => $desk->name($loaded->document),
                'days' => self::daysLeft($loaded->removedMs, $this->clock->nowMs()),
            ]);
        }

        return [$loaded, $desk];
    }

    /** For how many days more it can be brought back. */
    public static function daysLeft(int $removedMs, int $nowMs): int
    {
        return max(0, (int) ceil(self::KEPT_DAYS - ($nowMs - $removedMs) / 86_400_000));
    }

    /**
     * Also one that was removed.
     *
     * @return array{LoadedDocument, Desk<Document>}
     *
     * @throws Absent|Forbidden
     */
    public function found(string $id, Person $person, bool $toChange = false): array
    {
        $loaded = $this->documents->load($id, $toChange) ?? throw Absent::named('document');
        $desk = $this->of($loaded->kind);
        // A surface brings its site along.
        $thing = $this->thing($loaded->id, $loaded->surfaceId);
        $site = $this->sites->byId($loaded->siteId) ?? throw Absent::named('site');
        $this->gate->demandOn($person, $toChange ? $desk->right() : Right::See, $site, $thing);

        return [$loaded, $desk];
    }

    /** A sheet is its surface; another document lies on the surface that it is made for. */
    public function thing(string $id, ?int $surfaceId): Thing
    {
        $surface = $surfaceId === null ? $this->surfaces->byDocument($id) : $this->surfaces->byId($surfaceId);

        return ($surface === null ? Thing::site() : Gate::thing($surface))->document($id);
    }

    /** @return Desk<Document> */
    public function of(string $kind): Desk
    {
        $desk = $this->desks->has($kind) ? $this->desks->get($kind) : null;

        return $desk instanceof Desk ? $desk : throw new \LogicException("No desk for documents of kind $kind.");
    }
}
