<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use Symfony\Component\Uid\Uuid;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Document;

/** Documents of which a site has one: its book, its own starters. */
final readonly class OnesOfSites
{
    public function __construct(private Connection $database, private Documents $documents)
    {
    }

    /** @return ?LoadedDocument null when there is none yet, or it cannot be read: others go on without it */
    public function of(string $kind, int $site): ?LoadedDocument
    {
        $id = $this->id($kind, $site);
        try {
            return $id === null ? null : $this->documents->load($id);
        } catch (Refusal) {
            return null;
        }
    }

    /** Its id; made when it is not there yet. The site is locked by whoever asks. */
    public function made(string $kind, Document $fresh, string $name, Site $site, Person $person): string
    {
        $id = $this->id($kind, $site->id);
        if ($id === null) {
            $id = Uuid::v7()->toRfc4122();
            $this->documents->add(new LoadedDocument($id, $kind, $site->id, null, null, 0, $fresh), $name, $person);
        }

        return $id;
    }

    private function id(string $kind, int $site): ?string
    {
        $id = $this->database->fetchOne('SELECT id FROM document WHERE kind = ? AND site_id = ? LIMIT 1', [$kind, $site]);

        return $id === false ? null : (string) $id;
    }
}
