<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\Core\Act\Act;
use UpperPane\Core\Act\ActKind;
use UpperPane\Core\Act\Acts as CoreActs;
use UpperPane\Core\Act\Target;
use UpperPane\Core\Base\Input;

/** What people did that players show at once; ended ones stay, as a record. */
final readonly class Acts
{
    /** What ended so long ago is of no proof that is still to come. */
    private const LATE_MS = 15 * 60_000;
    private const COLUMNS = 'a.id, a.kind, a.targets, a.from_ms, a.until_ms, a.until_cleared, a.cleared_ms';

    public function __construct(private Connection $database)
    {
    }

    public function add(Act $act, Site $site, Person $person): void
    {
        $this->database->insert('act', [
            'id' => $act->id,
            'site_id' => $site->id,
            'kind' => $act->kind->value,
            'targets' => json_encode(array_column($act->targets, 'name'), \JSON_THROW_ON_ERROR),
            'from_ms' => $act->fromMs,
            'until_ms' => $act->untilMs,
            'until_cleared' => (int) $act->untilCleared,
            'by_id' => $person->id,
        ]);
    }

    /** @return ?array{Act, int} with its site */
    public function find(string $id): ?array
    {
        // What is no id names none: it cannot even be compared with one.
        $row = preg_match('/^[0-9a-f-]{36}$/D', $id) !== 1 ? false : $this->database->fetchAssociative(
            'SELECT '.self::COLUMNS.', a.site_id FROM act a WHERE a.id = ?',
            [$id],
        );

        return $row === false ? null : [self::read($row), (int) $row['site_id']];
    }

    public function clear(Act $act, Person $person): void
    {
        $this->database->executeStatement(
            'UPDATE act SET cleared_ms = ?, cleared_by_id = ? WHERE id = ? AND cleared_ms IS NULL',
            [$act->clearedMs, $person->id, $act->id],
        );
    }

    public function renew(Act $act): void
    {
        $this->database->update('act', ['until_ms' => $act->untilMs], ['id' => $act->id]);
    }

    /** What is in force at a site, and what ended a short while ago. */
    public function late(int $site, int $nowMs): CoreActs
    {
        return CoreActs::of(array_map(self::read(...), $this->database->fetchAllAssociative(
            'SELECT '.self::COLUMNS.' FROM act a WHERE a.site_id = ? AND a.until_ms > ?',
            [$site, $nowMs - self::LATE_MS],
        )));
    }

    /** @return list<array{Act, string}> in force, with the name of who did it, the last first */
    public function standing(int $site, int $nowMs): array
    {
        return array_map(
            static fn (array $row) => [self::read($row), (string) $row['name']],
            $this->database->fetchAllAssociative(
                'SELECT '.self::COLUMNS.', p.name FROM act a JOIN person p ON p.id = a.by_id '.
                    'WHERE a.site_id = ? AND a.until_ms > ? AND a.cleared_ms IS NULL ORDER BY a.from_ms DESC, a.id DESC',
                [$site, $nowMs],
            ),
        );
    }

    /** Players are told by it that there is something new; it never falls, also after a restored backup. */
    public function renumber(int $site, int $nowMs): void
    {
        $this->database->executeStatement(
            'UPDATE site SET acts_number = GREATEST(acts_number + 1, ?) WHERE id = ?',
            [$nowMs, $site],
        );
    }

    /** @return array<int, array{key: string, number: int}> of all sites, by id */
    public function files(): array
    {
        $files = [];
        foreach ($this->database->fetchAllAssociative('SELECT id, acts_key, acts_number FROM site') as $row) {
            $files[(int) $row['id']] = ['key' => (string) $row['acts_key'], 'number' => (int) $row['acts_number']];
        }

        return $files;
    }

    /** @return array<string, list<string>> the players of a site by code, and what may aim at each */
    public function players(int $site): array
    {
        $players = [];
        $rows = $this->database->fetchAllAssociative(
            'SELECT p.code, s.code AS surface, s.group_ids FROM player p JOIN surface s ON s.id = p.surface_id '.
                'WHERE s.site_id = ? ORDER BY p.id',
            [$site],
        );
        foreach ($rows as $row) {
            /** @var list<string> $groups */
            $groups = json_decode((string) $row['group_ids'], true) ?? [];
            $players[(string) $row['code']] = Target::namesOf((string) $row['code'], (string) $row['surface'], $groups);
        }

        return $players;
    }

    /** @return array<string, string> names of the surfaces of a site's players, by the players' codes */
    public function surfaces(int $site): array
    {
        /** @var array<string, string> */
        return $this->database->fetchAllKeyValue(
            'SELECT p.code, s.name FROM player p JOIN surface s ON s.id = p.surface_id WHERE s.site_id = ? ORDER BY p.id',
            [$site],
        );
    }

    /** @param array<string, mixed> $row */
    private static function read(array $row): Act
    {
        /** @var non-empty-list<Target> $targets */
        $targets = array_map(Target::read(...), Input::of(json_decode((string) $row['targets'], true))->asList());

        return new Act(
            (string) $row['id'],
            ActKind::from((string) $row['kind']),
            $targets,
            (int) $row['from_ms'],
            (int) $row['until_ms'],
            (bool) $row['until_cleared'],
            $row['cleared_ms'] === null ? null : (int) $row['cleared_ms'],
        );
    }
}
