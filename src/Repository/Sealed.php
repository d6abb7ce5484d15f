<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\App\Adapter\Unwritten;
use UpperPane\App\Entity\ProgrammeRow;
use UpperPane\App\Entity\ReleasePlan;
use UpperPane\Core\Base\CanonicalJson;

/**
 * What was sealed, byte for byte as its hash says: read as it is stored, because PHP's arrays do not tell an empty
 * object from an empty list.
 */
final readonly class Sealed
{
    /** Kinds of what lies in the table of its own; the plans of releases and the programmes lie with them. */
    public const PLAN = 'plan';
    public const SHEET = 'sheet';
    public const ALMANAC = 'almanac';
    public const INPUTS = 'inputs';

    public function __construct(private Connection $database)
    {
    }

    /**
     * Once, under its hash.
     *
     * @param array<string, mixed> $content
     *
     * @return string the address of the folder that it is published in, with a slash at its end
     */
    public function keep(string $kind, string $sha256, array $content): string
    {
        $this->database->executeStatement(
            'INSERT IGNORE INTO sealed (sha256, kind, folder, content, at) VALUES (?, ?, ?, ?, UTC_TIMESTAMP())',
            [$sha256, $kind, bin2hex(random_bytes(20)), CanonicalJson::encode($content)],
        );
        $folder = (string) $this->database->fetchOne('SELECT folder FROM sealed WHERE sha256 = ?', [$sha256]);

        return "/released/$folder/";
    }

    /**
     * @return array{folder: string, content: string} what was kept under a hash
     *
     * @throws Unwritten when it is not what was sealed any more
     */
    public function kept(string $sha256): array
    {
        $row = $this->database->fetchAssociative('SELECT folder, content FROM sealed WHERE sha256 = ?', [$sha256]);
        if ($row === false || hash('sha256', (string) $row['content']) !== $sha256) {
            throw Unwritten::broken();
        }

        return ['folder' => (string) $row['folder'], 'content' => (string) $row['content']];
    }

    /** @throws Unwritten when it is not what was sealed any more */
    public function plan(ReleasePlan $plan): string
    {
        return $this->text('SELECT plan FROM release_plan WHERE id = ?', $plan->id, $plan->sha256);
    }

    /** @throws Unwritten */
    public function programme(ProgrammeRow $programme): string
    {
        return $this->text('SELECT content FROM programme WHERE id = ?', $programme->id, $programme->sha256);
    }

    private function text(string $query, int $id, string $sha256): string
    {
        $stored = json_decode((string) $this->database->fetchOne($query, [$id]));
        $text = $stored instanceof \stdClass ? CanonicalJson::encode($stored) : '';

        return hash('sha256', $text) === $sha256 ? $text : throw Unwritten::broken();
    }
}
