<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Doctrine\DBAL\Connection;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\PdoSessionHandler;

/**
 * Sessions in the database, without locks (a page's requests must not wait for each other), and without a write per
 * request: an unchanged session is written anew every five minutes by `metadata_update_threshold`, which is enough to
 * keep it alive.
 */
final class QuietSessionHandler extends PdoSessionHandler
{
    public static function on(Connection $database): self
    {
        $pdo = $database->getNativeConnection();

        return new self($pdo instanceof \PDO ? $pdo : throw new \LogicException('Sessions need PDO.'), [
            'lock_mode' => self::LOCK_NONE,
            'db_table' => 'session',
        ]);
    }

    public function updateTimestamp(string $sessionId, string $data): bool
    {
        return true;
    }

    protected function doRead(#[\SensitiveParameter] string $sessionId): string
    {
        return parent::doRead(self::kept($sessionId));
    }

    protected function doWrite(#[\SensitiveParameter] string $sessionId, string $data): bool
    {
        return parent::doWrite(self::kept($sessionId), $data);
    }

    protected function doDestroy(#[\SensitiveParameter] string $sessionId): bool
    {
        return parent::doDestroy(self::kept($sessionId));
    }

    /** Whoever reads the table, or a copy of it, cannot sign in with what stands there. */
    public static function kept(#[\SensitiveParameter] string $sessionId): string
    {
        return hash('sha256', $sessionId);
    }
}
