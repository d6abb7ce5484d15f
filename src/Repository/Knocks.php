<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\App\Entity\Player;
use UpperPane\Core\Site\PairingCode;

/** Pages that ask to be a player, by the hash of the token each of them made up, and the code that it shows. */
final readonly class Knocks
{
    /** Pages waiting for one player; of more, the oldest goes. */
    private const MOST = 20;

    public function __construct(private Connection $database)
    {
    }

    /** @return array{code: string, until_ms: int} what this page is to show; the same for as long as it lives */
    public function of(Player $player, string $tokenHash, int $nowMs): array
    {
        $this->database->executeStatement('DELETE FROM knock WHERE player_id = ? AND until_ms <= ?', [
            $player->id,
            $nowMs,
        ]);
        while (($known = $this->known($player, $tokenHash)) === null) {
            // A code that another page shows already is passed over, and so is the same page asking twice at once.
            $this->database->executeStatement(
                'INSERT IGNORE INTO knock (player_id, token_hash, code, until_ms) VALUES (?, ?, ?, ?)',
                [
                    $player->id,
                    $tokenHash,
                    PairingCode::ofBytes(random_bytes(PairingCode::LENGTH))->signs,
                    $nowMs + PairingCode::LIFETIME_MS,
                ],
            );
            $this->database->executeStatement(
                'DELETE FROM knock WHERE player_id = ? AND token_hash <> ? AND token_hash NOT IN '.
                    '(SELECT token_hash FROM (SELECT token_hash FROM knock WHERE player_id = ? '.
                    'ORDER BY until_ms DESC LIMIT '.self::MOST.') AS young)',
                [$player->id, $tokenHash, $player->id],
            );
        }

        return $known;
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
    private function known(Player $player, string $tokenHash): ?array
    {
        $row = $this->database->fetchAssociative(
            'SELECT code, until_ms FROM knock WHERE player_id = ? AND token_hash = ?',
            [$player->id, $tokenHash],
        );

        return $row === false ? null : ['code' => (string) $row['code'], 'until_ms' => (int) $row['until_ms']];
    }
}
