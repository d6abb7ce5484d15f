<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\ProofRow;
use UpperPane\App\Repository\Players;
use UpperPane\App\Repository\Releases;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Handoff\Expectation;
use UpperPane\Core\Handoff\Proof;
use UpperPane\Core\Handoff\ReleasedPlan;

/** Takes what a player says it shows and holds it against what its release says it should. */
final readonly class TakeProof
{
    public function __construct(
        private EntityManagerInterface $entities,
        private PairPlayer $pairing,
        private Players $players,
        private Releases $releases,
        private ShiftedClock $clock,
    ) {
    }

    /** @return bool false when the token is not this player's */
    public function __invoke(string $code, string $token, Input $input): bool
    {
        $player = $this->pairing->byToken($code, $token);
        if ($player === null) {
            return false;
        }
        $proof = Proof::parse($input);
        $order = $this->players->order($player);
        $row = $this->entities->find(ProofRow::class, $player->id) ?? new ProofRow($player, 0);
        $row->receivedMs = $this->clock->nowMs();
        $row->report = $proof->toArray();
        $plan = $order === null ? null : $this->releases->planOn($order->release, $player->surface);
        $expectation =
            $order === null || $plan === null
                ? null
                : new Expectation($order->release->id, ReleasedPlan::read($plan->plan), $order->startMs);
        $row->differences =
            $expectation === null || $proof->release !== $order?->release->id ? [] : $expectation->differences($proof);
        $row->proven = $expectation?->proves($proof) ?? false;
        $this->entities->persist($row);
        $this->entities->flush();

        return true;
    }
}
