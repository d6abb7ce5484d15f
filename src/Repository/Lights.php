<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use UpperPane\Core\Picture\LightGrid;

/** How light media are, by SHA-256: each is fetched once, when something stands over it. */
final class Lights
{
    /** @var array<string, ?LightGrid> */
    private array $known = [];

    public function __construct(private readonly Connection $database)
    {
    }

    public function of(string $sha256): ?LightGrid
    {
        if (!array_key_exists($sha256, $this->known)) {
            $bytes = $this->database->fetchOne('SELECT cells FROM media_light WHERE sha256 = ?', [$sha256]);
            $this->known[$sha256] = is_string($bytes) ? LightGrid::ofBytes($bytes) : null;
        }

        return $this->known[$sha256];
    }

    public function keep(string $sha256, ?LightGrid $light): void
    {
        if ($light !== null) {
            $this->database->executeStatement(
                'REPLACE INTO media_light (sha256, cells) VALUES (?, ?)',
                [$sha256, $light->bytes()],
                [ParameterType::STRING, ParameterType::LARGE_OBJECT],
            );
        }
    }
}
