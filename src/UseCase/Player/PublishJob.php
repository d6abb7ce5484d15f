<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use UpperPane\App\Job\Handler;
use UpperPane\App\Repository\Players;

/**
 * Writes a player's files after something about them changed: made in the same transaction as the change, so that none
 * is committed and forgotten.
 */
final readonly class PublishJob implements Handler
{
    public const KIND = 'player.publish';

    public function __construct(private Players $players, private PublishOrders $publish)
    {
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function handle(array $payload): void
    {
        $player = $this->players->byCode((string) $payload['player']);
        $player === null || ($this->publish)($player);
    }

    /** {@see PublishAll} goes on trying. */
    public function giveUp(array $payload, int $attempts): void
    {
    }
}
