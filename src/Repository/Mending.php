<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Kind;
use UpperPane\Core\Change\Nature;
use UpperPane\Core\Change\Stored;

/** Brings back a document whose parts cannot be read: its kept states, and the commands that followed them. */
final readonly class Mending
{
    public function __construct(private Connection $database, private ShiftedClock $clock, private Kinds $kinds)
    {
    }

    /** @return ?array{kind: string, site: int, surface: ?int, area: ?string, revision: int} locked; null: not there */
    public function place(string $id): ?array
    {
        $row = $this->database->fetchAssociative(
            'SELECT kind, site_id, surface_id, area, revision FROM document WHERE id = ? FOR UPDATE',
            [$id],
        );

        return $row === false
            ? null
            : [
                'kind' => $row['kind'],
                'site' => (int) $row['site_id'],
                'surface' => $row['surface_id'] === null ? null : (int) $row['surface_id'],
                'area' => $row['area'],
                'revision' => (int) $row['revision'],
            ];
    }

    /**
     * The latest state that can be had: from the newest kept one that can be read, forward as far as commands can.
     *
     * @return ?array{Document, int} with its revision; null when none can be read
     */
    public function latest(string $id, string $kindName): ?array
    {
        $kind = $this->kinds->named($kindName);
        $frames = $this->database->fetchAllKeyValue(
            'SELECT number, keyframe FROM revision WHERE document_id = ? AND keyframe IS NOT NULL ORDER BY number DESC',
            [$id],
        );
        foreach ($frames as $number => $frame) {
            try {
                $kept = $kind->stored(self::json((string) $frame));
                // Whole, because parts are read only when they are asked for.
                $kept->toArray();

                return $this->forward($id, $kind, $kept, (int) $number);
            } catch (Refusal) {
                continue;
            }
        }

        return null;
    }

    /**
     * Writes it as the next revision. What could not be had again counts as written by whoever mends; the last good
     * state is kept beside it, because nothing leads back over the gap.
     */
    public function store(string $id, string $batch, int $revision, Document $document, int $from, Person $person): void
    {
        $kind = (string) $this->database->fetchOne('SELECT kind FROM document WHERE id = ?', [$id]);
        $parts = $this->kinds->named($kind)->parts($document);
        $this->database->delete('part', ['document_id' => $id]);
        foreach ($parts as $name => $content) {
            $this->database->insert('part', ['document_id' => $id, 'name' => $name, 'content' => $content]);
        }
        $frame = json_encode($parts, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
        $this->database->update('revision', ['keyframe' => $frame], ['document_id' => $id, 'number' => $from]);
        $lost = $this->database->fetchFirstColumn(
            'SELECT writes_scopes FROM revision WHERE document_id = ? AND number > ?',
            [$id, $from],
        );
        $writes = array_merge([], ...array_map(static fn (string $text) => (array) json_decode($text, true), $lost));
        $about = $from === $revision ? [] : ['revision' => (string) $from];
        $now = $this->clock->now()->format('Y-m-d H:i:s');
        $this->database->insert('revision', [
            'document_id' => $id,
            'number' => $revision + 1,
            'batch' => $batch,
            'client' => '',
            'author_id' => $person->id,
            'at' => $now,
            'nature' => Nature::Mend->value,
            'cancels' => null,
            'labels' => json_encode(
                [['code' => 'document.mend', 'about' => (object) $about]],
                \JSON_THROW_ON_ERROR,
            ),
            'commands' => '[]',
            'inverses' => '[]',
            'reads_scopes' => '[]',
            'writes_scopes' => json_encode(array_values(array_unique($writes)), \JSON_THROW_ON_ERROR),
            'keyframe' => $frame,
        ]);
        $this->database->update(
            'document',
            ['revision' => $revision + 1, 'changed_at' => $now, 'changed_by_id' => $person->id],
            ['id' => $id],
        );
    }

    /**
     * @param Kind<Document> $kind
     *
     * @return array{Document, int}
     */
    private function forward(string $id, Kind $kind, Document $document, int $number): array
    {
        $rows = $this->database->iterateKeyValue(
            'SELECT number, commands FROM revision WHERE document_id = ? AND number > ? ORDER BY number',
            [$id, $number],
        );
        foreach ($rows as $next => $commands) {
            try {
                $read = Stored::read('', static fn () => Input::of(self::json((string) $commands))->asList(100_000));
                $document = Batch::of(array_map($kind->commands()->read(...), $read))->apply($document)->after;
                $number = (int) $next;
            } catch (Refusal) {
                break;
            }
        }

        return [$document, $number];
    }

    private static function json(string $text): mixed
    {
        return json_decode($text, true, 512, \JSON_THROW_ON_ERROR);
    }
}
