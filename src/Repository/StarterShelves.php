<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use Symfony\Component\Uid\Uuid;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Starters\OwnStarters;
use UpperPane\Core\Design\Starters\StartersKind;

/** The one document of a site that holds its own starters. */
final readonly class StarterShelves
{
    public function __construct(private Connection $database, private Documents $documents)
    {
    }

    /** @return ?LoadedDocument null when nobody kept any yet, or it cannot be read: then the bench goes on without */
    public function of(int $site): ?LoadedDocument
    {
        $id = $this->id($site);
        try {
            return $id === null ? null : $this->documents->load($id);
        } catch (Refusal) {
            return null;
        }
    }

    /** Its id; made when it is not there yet. The site is locked by whoever asks. */
    public function made(Site $site, Person $person): string
    {
        $id = $this->id($site->id);
        if ($id === null) {
            $id = Uuid::v7()->toRfc4122();
            $this->documents->add(
                new LoadedDocument($id, StartersKind::NAME, $site->id, null, null, 0, OwnStarters::none()),
                'Starters',
                $person,
            );
        }

        return $id;
    }

    private function id(int $site): ?string
    {
        $id = $this->database->fetchOne('SELECT id FROM document WHERE kind = ? AND site_id = ? LIMIT 1', [
            StartersKind::NAME,
            $site,
        ]);

        return $id === false ? null : (string) $id;
    }
}
