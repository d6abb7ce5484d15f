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
    public function __construct(private Connection $database)
    {
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
