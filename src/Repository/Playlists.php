<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignKind;

/** The playlists of a site's Stock; one that cannot be read is left out. */
final readonly class Playlists
{
    public function __construct(private Connection $database, private Documents $documents)
    {
    }

    /** @return array<string, Design> all of a site, by name */
    public function ofSite(int $site): array
    {
        $ids = $this->database->fetchFirstColumn(
            'SELECT id FROM document WHERE kind = ? AND is_list = 1 AND site_id = ? AND removed_ms IS NULL AND archived = 0 '.
                'ORDER BY name, id',
            [DesignKind::NAME, $site],
        );

        return $this->read($ids);
    }

    /**
     * @param list<string> $ids
     * @param bool         $held until the transaction is over nobody removes them
     *
     * @return array<string, Design> those that are there, by id
     */
    public function find(int $site, array $ids, bool $held = false): array
    {
        $there = $ids === [] ? [] : $this->database->fetchFirstColumn(
            'SELECT id FROM document WHERE id IN (?) AND kind = ? AND is_list = 1 AND site_id = ? AND removed_ms IS NULL'.
                ($held ? ' LOCK IN SHARE MODE' : ''),
            [$ids, DesignKind::NAME, $site],
            [ArrayParameterType::STRING],
        );

        return $this->read($there);
    }

    /**
     * @param list<mixed> $ids
     *
     * @return array<string, Design>
     */
    private function read(array $ids): array
    {
        return array_filter(
            $this->documents->several(DesignKind::NAME, array_map(strval(...), $ids)),
            static fn (object $one) => $one instanceof Design,
        );
    }
}
