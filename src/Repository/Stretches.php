<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use UpperPane\App\Entity\Player;
use UpperPane\Core\Handoff\Heard;
use UpperPane\Core\Handoff\Proof;
use UpperPane\Core\Handoff\Stretch;

/** What was heard of players, stretch behind stretch. */
final readonly class Stretches
{
    public function __construct(private Connection $database)
    {
    }

    public function hear(Player $player, bool $proven, Proof $proof, int $nowMs): void
    {
        $row = $this->database->fetchAssociative(
            'SELECT * FROM stretch WHERE player_id = ? ORDER BY id DESC LIMIT 1',
            [$player->id],
        );
        $last = $row === false ? null : self::read($row);
        $stretches = Stretch::after($last, $proven, $proof, $nowMs);
        if ($row !== false) {
            $this->database->update('stretch', ['until_ms' => $stretches[0]->untilMs], ['id' => $row['id']]);
            array_shift($stretches);
        }
        foreach ($stretches as $stretch) {
            $this->database->insert('stretch', [
                'player_id' => $player->id,
                'from_ms' => $stretch->fromMs,
                'until_ms' => $stretch->untilMs,
                'heard' => $stretch->heard->value,
                'programme' => $stretch->programme,
                'act' => $stretch->act,
            ]);
        }
    }

    /** @return list<Stretch> those that reach behind an instant, as they were told */
    public function since(Player $player, int $fromMs): array
    {
        return array_map(self::read(...), $this->database->fetchAllAssociative(
            'SELECT * FROM stretch WHERE player_id = ? AND until_ms >= ? ORDER BY id',
            [$player->id, $fromMs],
        ));
    }

    /** @param array<string, mixed> $row */
    private static function read(array $row): Stretch
    {
        return new Stretch(
            (int) $row['from_ms'],
            (int) $row['until_ms'],
            Heard::from((string) $row['heard']),
            $row['programme'] === null ? null : (string) $row['programme'],
            $row['act'] === null ? null : (string) $row['act'],
        );
    }
}
