<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\App\Entity\Player;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Site\PairingCode;

/** Pages that ask to be a player, by the hash of the token each of them made up, and the code that it shows. */
final readonly class Knocks
{
    /** Pages waiting for one player, of one address and of all: newcomers are refused, who shows a code keeps it. */
    private const MOST_OF_ONE = 12;
    private const MOST = 60;

    public function __construct(private Connection $database)
    {
    }

    /**
     * @param string $from address of the client
     *
     * @return array{code: string, until_ms: int} what this page is to show; the same for as long as it lives
     *
     * @throws Refusal `pairing.too_many`
     */
    public function of(Player $player, string $tokenHash, int $nowMs, string $from): array
    {
        $known = $this->known($player, $tokenHash, $nowMs);
        if ($known !== null) {
            return $known;
        }
        $origin = hash('sha256', $from);
        do {
            // One at a time for a player: whoever counts, counts all. A code that another page shows is passed over.
            $this->database->transactional(function () use ($player, $tokenHash, $nowMs, $origin): void {
                $this->database->fetchOne('SELECT id FROM player WHERE id = ? FOR UPDATE', [$player->id]);
                $this->database->executeStatement('DELETE FROM knock WHERE player_id = ? AND until_ms <= ?', [
                    $player->id,
                    $nowMs,
                ]);
                $this->demandRoom($player, $tokenHash, $origin);
                $this->database->executeStatement(
                    'INSERT IGNORE INTO knock (player_id, token_hash, code, until_ms, origin) VALUES (?, ?, ?, ?, ?)',
                    [
                        $player->id,
                        $tokenHash,
                        PairingCode::ofBytes(random_bytes(PairingCode::LENGTH))->signs,
                        $nowMs + PairingCode::LIFETIME_MS,
                        $origin,
                    ],
                );
            });
            $known = $this->known($player, $tokenHash, $nowMs);
        } while ($known === null);

        return $known;
    }

    /** @throws Refusal */
    private function demandRoom(Player $player, string $tokenHash, string $origin): void
    {
        $counts = $this->database->fetchAssociative(
            'SELECT COUNT(*) AS everybody, COALESCE(SUM(origin = ?), 0) AS own FROM knock '.
                'WHERE player_id = ? AND token_hash NOT IN (?, ?)',
            [$origin, $player->id, $tokenHash, (string) $player->tokenHash],
        );
        if (((int) ($counts['own'] ?? 0)) >= self::MOST_OF_ONE || ((int) ($counts['everybody'] ?? 0)) >= self::MOST) {
            throw Refusal::because('pairing.too_many');
        }
    }

    /** @return ?string the hash of the token of the page that shows this code */
    public function showing(Player $player, PairingCode $code, int $nowMs): ?string
    {
        $hash = $this->database->fetchOne(
            'SELECT token_hash FROM knock WHERE player_id = ? AND code = ? AND until_ms > ?',
            [$player->id, $code->signs, $nowMs],
        );

        return $hash === false ? null : (string) $hash;
    }

    /** @return array{code: string, until_ms: int}|null */
    private function known(Player $player, string $tokenHash, int $nowMs): ?array
    {
        $row = $this->database->fetchAssociative(
            'SELECT code, until_ms FROM knock WHERE player_id = ? AND token_hash = ? AND until_ms > ?',
            [$player->id, $tokenHash, $nowMs],
        );

        return $row === false ? null : ['code' => (string) $row['code'], 'until_ms' => (int) $row['until_ms']];
    }
}
