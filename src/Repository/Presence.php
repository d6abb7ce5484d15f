<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;

/** Who has which document open: whoever asked for news of it a moment ago. */
final readonly class Presence
{
    private const HERE_MS = 15_000;
    private const LONGEST_SPOT = 64;

    public function __construct(private Connection $database, private ShiftedClock $clock)
    {
    }

    /**
     * @param string $spot the zone that is chosen; empty for none
     *
     * @return list<array{name: string, spot: string}> the others, by name
     */
    public function seen(string $document, Person $person, string $spot): array
    {
        $now = $this->clock->nowMs();
        $this->database->executeStatement(
            'INSERT INTO presence (document_id, person_id, spot, at_ms) VALUES (?, ?, ?, ?) '.
                'ON DUPLICATE KEY UPDATE spot = VALUES(spot), at_ms = VALUES(at_ms)',
            [$document, $person->id, mb_substr(mb_scrub($spot), 0, self::LONGEST_SPOT), $now],
        );
        $rows = $this->database->fetchAllAssociative(
            'SELECT p.name, h.spot FROM presence h JOIN person p ON p.id = h.person_id '.
                'WHERE h.document_id = ? AND h.person_id <> ? AND h.at_ms > ? ORDER BY p.name',
            [$document, $person->id, $now - self::HERE_MS],
        );

        return array_map(
            static fn (array $row) => ['name' => (string) $row['name'], 'spot' => (string) $row['spot']],
            $rows,
        );
    }
}
