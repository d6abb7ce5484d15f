<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Doctrine\DBAL\Connection;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\PdoSessionHandler;

/** Sessions in the database, without locks: a page's requests must not wait for each other. */
final class SessionStore
{
    public static function handler(Connection $database): PdoSessionHandler
    {
        $pdo = $database->getNativeConnection();

        return new PdoSessionHandler($pdo instanceof \PDO ? $pdo : throw new \LogicException('Sessions need PDO.'), [
            'lock_mode' => PdoSessionHandler::LOCK_NONE,
            'db_table' => 'session',
        ]);
    }
}
