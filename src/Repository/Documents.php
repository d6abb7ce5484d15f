<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Symfony\Component\Uid\Uuid;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Kind;
use UpperPane\Core\Change\Nature;
use UpperPane\Core\Change\Outcome;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Change\Step;
use UpperPane\Core\Change\Stored;

/** The one store of documents: their parts, and a revision per batch. Plain SQL, since every edit goes through it. */
final readonly class Documents
{
    /** All parts are kept on every so many revisions, so that any of them can be rebuilt in few steps. */
    public const KEYFRAME_EVERY = 64;
    private const PAGE = 32;
    private const ROWS = 100;

    public function __construct(private Connection $database, private ShiftedClock $clock, private Kinds $kinds)
    {
    }

    /**
     * @return ?LoadedDocument null when it is not there
     *
     * @throws Refusal `document.damaged`
     */
    public function load(string $id, bool $lock = false): ?LoadedDocument
    {
        if ($lock) {
            $this->database->fetchOne('SELECT 1 FROM document WHERE id = ? FOR UPDATE', [$id]);
        }
        // In one statement, so that the parts are those of the revision.
        $rows = $this->database->fetchAllAssociative(
            'SELECT d.kind, d.site_id, d.surface_id, d.area, d.revision, d.removed_ms, p.name, p.content FROM document d '.
                'LEFT JOIN part p ON p.document_id = d.id WHERE d.id = ?',
            [$id],
        );
        if ($rows === []) {
            return null;
        }
        $row = $rows[0];
        /** @var array<string, string> $parts */
        $parts = $row['name'] === null ? [] : array_column($rows, 'content', 'name');
        $surface = $row['surface_id'] === null ? null : (int) $row['surface_id'];

        $kind = $this->kinds->named($row['kind']);
        $current = Stored::read('', static fn () => $kind->upgraded($parts));

        return new LoadedDocument(
            $id,
            $row['kind'],
            (int) $row['site_id'],
            $surface,
            $row['area'],
            (int) $row['revision'],
            $kind->stored($current),
            $current !== $parts,
            removedMs: $row['removed_ms'] === null ? null : (int) $row['removed_ms'],
        );
    }

    /**
     * Several of one kind at once. One that cannot be read is left out and named, so that it takes no list down.
     *
     * @param list<string> $ids
     *
     * @return array<string, Document|Refusal> by id
     */
    public function several(string $kind, array $ids): array
    {
        $parts = [];
        if ($ids !== []) {
            foreach (
                $this->database->iterateAssociative(
                    'SELECT document_id, name, content FROM part WHERE document_id IN (?)',
                    [$ids],
                    [ArrayParameterType::STRING],
                ) as $row
            ) {
                $parts[$row['document_id']][$row['name']] = $row['content'];
            }
        }

        return array_map(function (array $own) use ($kind): Document|Refusal {
            try {
                return $this->kinds->named($kind)->stored($own);
            } catch (Refusal $refusal) {
                return $refusal;
            }
        }, $parts);
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, int> how far each has come
     */
    public function revisions(array $ids): array
    {
        return $ids === []
            ? []
            : array_map(
                intval(...),
                $this->database->fetchAllKeyValue(
                    'SELECT id, revision FROM document WHERE id IN (?)',
                    [$ids],
                    [ArrayParameterType::STRING],
                ),
            );
    }

    public function add(LoadedDocument $new, string $name, Person $person): void
    {
        $this->database->insert('document', [
            'id' => $new->id,
            'kind' => $new->kind,
            'site_id' => $new->siteId,
            'surface_id' => $new->surfaceId,
            'area' => $new->area,
            'name' => $name,
            'revision' => 0,
            'changed_at' => $this->now(),
            'changed_by_id' => $person->id,
        ]);
        $parts = $this->kinds->named($new->kind)->parts($new->document);
        $this->write($new->id, $parts);
        $this->database->insert('revision', [
            'document_id' => $new->id,
            'number' => 0,
            'batch' => Uuid::v4()->toRfc4122(),
            'client' => '',
            'author_id' => $person->id,
            'at' => $this->now(),
            'nature' => Nature::Begin->value,
            'cancels' => null,
            'labels' => self::json([['code' => 'document.begin', 'about' => (object) []]]),
            'commands' => '[]',
            'inverses' => '[]',
            'reads_scopes' => '[]',
            'writes_scopes' => '[]',
            'keyframe' => self::json($parts),
        ]);
    }

    /**
     * Stores a batch as the next revision. Sent again it would meet the unique key of its id: ask {@see knows()} first.
     *
     * @param Batch<Document>   $batch
     * @param Outcome<Document> $outcome
     */
    public function store(
        LoadedDocument $head,
        string $batchId,
        string $client,
        Batch $batch,
        Outcome $outcome,
        string $name,
        Person $author,
        Nature $nature,
        ?int $cancels,
    ): LoadedDocument {
        $kind = $this->kinds->named($head->kind);
        $number = $head->revision + 1;
        if ($head->older) {
            $this->database->delete('part', ['document_id' => $head->id]);
        }
        $this->write($head->id, $kind->parts($outcome->after, $head->older ? null : $head->document));
        $this->database->executeStatement(
            'UPDATE document SET revision = ?, name = ?, changed_at = ?, changed_by_id = ? WHERE id = ?',
            [$number, $name, $this->now(), $author->id, $head->id],
        );
        $this->database->insert('revision', [
            'document_id' => $head->id,
            'number' => $number,
            'batch' => $batchId,
            'client' => $client,
            'author_id' => $author->id,
            'at' => $this->now(),
            'nature' => $nature->value,
            'cancels' => $cancels,
            'labels' => self::json($outcome->labels),
            'commands' => self::json($batch->toArray()),
            'inverses' => self::json($outcome->inverse->toArray()),
            'reads_scopes' => self::json($outcome->reads->toArray()),
            'writes_scopes' => self::json($outcome->writes->toArray()),
            'keyframe' => $number % self::KEYFRAME_EVERY === 0 ? self::json($kind->parts($outcome->after)) : null,
        ]);

        return $head->at($number, $outcome->after, $nature === Nature::Edit ? $outcome->labels : null);
    }

    /**
     * Whether this very batch was stored before; null when something else was stored under its id.
     */
    public function knows(string $batchId, string $document, Person $author, Nature $nature): ?bool
    {
        $row = $this->database->fetchAssociative('SELECT document_id, author_id, nature FROM revision WHERE batch = ?', [
            $batchId,
        ]);

        return match (true) {
            $row === false => false,
            $row['document_id'] === $document
                && (int) $row['author_id'] === $author->id
                && $row['nature'] === $nature->value => true,
            default => null,
        };
    }

    /** @return list<Step> those after a number, oldest first */
    public function since(string $id, int $number): array
    {
        return array_map(
            self::step(...),
            $this->database->fetchAllAssociative(
                'SELECT number, author_id, client, nature, cancels, reads_scopes, writes_scopes FROM revision '.
                    'WHERE document_id = ? AND number > ? ORDER BY number',
                [$id, $number],
            ),
        );
    }

    /**
     * A person's steps, newest first, read as they are asked for; without scopes, which ask for more bytes than all
     * else.
     *
     * @return \Generator<Step>
     */
    public function newestOf(string $id, Person $person): \Generator
    {
        for ($below = \PHP_INT_MAX;;) {
            $rows = $this->database->fetchAllAssociative(
                'SELECT number, author_id, client, nature, cancels FROM revision '.
                    'WHERE document_id = ? AND author_id = ? AND number < ? ORDER BY number DESC LIMIT '.
                    self::PAGE,
                [$id, $person->id, $below],
            );
            foreach ($rows as $row) {
                yield self::step($row + ['reads_scopes' => '[]', 'writes_scopes' => '[]']);
                $below = (int) $row['number'];
            }
            if (count($rows) < self::PAGE) {
                return;
            }
        }
    }

    /** A step with its scopes. */
    public function stepOf(string $id, int $number): ?Step
    {
        return $this->since($id, $number - 1)[0] ?? null;
    }

    /**
     * @param Kind<Document> $kind
     *
     * @return Batch<Document> what takes a revision back
     */
    public function inverse(string $id, int $number, Kind $kind): Batch
    {
        return $this->batch(
            (string) $this->database->fetchOne('SELECT inverses FROM revision WHERE document_id = ? AND number = ?', [
                $id,
                $number,
            ]),
            $kind,
        );
    }

    /** The document as it was after a revision: from the head, or the next keyframe, back through the inverses. */
    public function documentAt(LoadedDocument $head, int $revision): Document
    {
        if ($revision === $head->revision) {
            return $head->document;
        }
        $kind = $this->kinds->named($head->kind);
        $frame = $this->database->fetchAssociative(
            'SELECT number, keyframe FROM revision '.
                'WHERE document_id = ? AND number >= ? AND keyframe IS NOT NULL ORDER BY number LIMIT 1',
            [$head->id, $revision],
        );
        $from = $frame === false ? $head->revision : (int) $frame['number'];
        $document =
            $frame === false
                ? $head->document
                : $kind->stored(json_decode((string) $frame['keyframe'], true, 512, \JSON_THROW_ON_ERROR));
        foreach (
            $this->database->fetchFirstColumn(
                'SELECT inverses FROM revision WHERE document_id = ? AND number > ? AND number <= ? '.
                    'ORDER BY number DESC',
                [$head->id, $revision, $from],
            ) as $inverses
        ) {
            $document = $this->batch((string) $inverses, $kind)->apply($document)->after;
        }

        return $document;
    }

    /**
     * Revisions as people read them.
     *
     * @return list<array{number: int, author: string, at: string, nature: string, cancels: ?int,
     *     labels: list<array<string, mixed>>}> latest first
     */
    public function lines(string $id, int $after = 0, int $most = 100, int $before = \PHP_INT_MAX): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT r.number, p.name AS author, r.at, r.nature, r.cancels, r.labels FROM revision r '.
                'JOIN person p ON p.id = r.author_id WHERE r.document_id = ? AND r.number > ? AND r.number < ? '.
                "ORDER BY r.number DESC LIMIT $most",
            [$id, $after, $before],
        );

        return array_map(self::line(...), $rows);
    }

    /** @return list<array<string, mixed>> what a revision did */
    public function labels(string $id, int $number): array
    {
        return json_decode(
            (string) $this->database->fetchOne('SELECT labels FROM revision WHERE document_id = ? AND number = ?', [
                $id,
                $number,
            ]),
            false,
            8,
            \JSON_THROW_ON_ERROR,
        );
    }

    /** Out of every list, for a month; null brings it back. Whoever asks has it locked. */
    public function remove(string $id, ?int $atMs, Person $person): void
    {
        $this->database->update(
            'document',
            ['removed_ms' => $atMs, 'removed_by_id' => $atMs === null ? null : $person->id],
            ['id' => $id],
        );
    }

    /** @return list<array{id: string, kind: string, name: string, removed_ms: int, by: ?string}> the last one first */
    public function removed(int $site): array
    {
        return array_map(
            static fn (array $row) => ['removed_ms' => (int) $row['removed_ms']] + $row,
            $this->database->fetchAllAssociative(
                'SELECT d.id, d.kind, d.name, d.removed_ms, p.name AS `by` FROM document d '.
                    'LEFT JOIN person p ON p.id = d.removed_by_id '.
                    'WHERE d.site_id = ? AND d.removed_ms IS NOT NULL ORDER BY d.removed_ms DESC, d.id LIMIT 200',
                [$site],
            ),
        );
    }

    /** @param array<string, ?string> $parts */
    private function write(string $id, array $parts): void
    {
        $rows = [];
        foreach ($parts as $name => $json) {
            if ($json === null) {
                $this->database->delete('part', ['document_id' => $id, 'name' => $name]);
            } else {
                $rows[] = [$id, $name, $json];
            }
        }
        foreach (array_chunk($rows, self::ROWS) as $some) {
            $this->database->executeStatement(
                'INSERT INTO part (document_id, name, content) VALUES '.
                    implode(', ', array_fill(0, count($some), '(?, ?, ?)')).
                    ' ON DUPLICATE KEY UPDATE content = VALUES(content)',
                array_merge(...$some),
            );
        }
    }

    /**
     * @param Kind<Document> $kind
     *
     * @return Batch<Document>
     */
    private function batch(string $json, Kind $kind): Batch
    {
        return Batch::of(
            array_map(
                $kind->commands()->read(...),
                Input::of(json_decode($json, true, 512, \JSON_THROW_ON_ERROR))->asList(100_000),
            ),
        );
    }

    /** @param array<string, mixed> $row */
    private static function step(array $row): Step
    {
        return new Step(
            (int) $row['number'],
            (string) $row['author_id'],
            (string) $row['client'],
            Nature::from((string) $row['nature']),
            $row['cancels'] === null ? null : (int) $row['cancels'],
            Scopes::stored(json_decode((string) $row['reads_scopes'], true, 4, \JSON_THROW_ON_ERROR)),
            Scopes::stored(json_decode((string) $row['writes_scopes'], true, 4, \JSON_THROW_ON_ERROR)),
        );
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array{number: int, author: string, at: string, nature: string, cancels: ?int,
     *     labels: list<array<string, mixed>>}
     */
    private static function line(array $row): array
    {
        return [
            'number' => (int) $row['number'],
            'author' => (string) $row['author'],
            'at' => (new \DateTimeImmutable((string) $row['at'], new \DateTimeZone('UTC')))->format(\DATE_ATOM),
            'nature' => (string) $row['nature'],
            'cancels' => $row['cancels'] === null ? null : (int) $row['cancels'],
            'labels' => json_decode((string) $row['labels'], false, 8, \JSON_THROW_ON_ERROR),
        ];
    }

    private function now(): string
    {
        return $this->clock->now()->format('Y-m-d H:i:s');
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
    }
}
