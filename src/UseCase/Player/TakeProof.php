<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\ProgrammeRow;
use UpperPane\App\Entity\ProofRow;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Acts;
use UpperPane\App\Repository\Players;
use UpperPane\App\Repository\Releases;
use UpperPane\App\Repository\Sealed;
use UpperPane\App\Repository\Stretches;
use UpperPane\Core\Act\Target;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Handoff\Expectation;
use UpperPane\Core\Handoff\Proof;
use UpperPane\Core\Handoff\ReleasedPlan;
use UpperPane\Core\Plan\PlanRef;
use UpperPane\Core\Plan\Programme;
use UpperPane\Core\Time\Midnights;

/** Takes what a player says it shows and holds it against what its surface's programme says it should. */
final readonly class TakeProof
{
    /** As far as a report may be late, or a player's clock off. */
    private const AROUND_MS = 7 * 86_400_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private PairPlayer $pairing,
        private Players $players,
        private Releases $releases,
        private Sealed $sealed,
        private Acts $acts,
        private Stretches $stretches,
        private ShiftedClock $clock,
        private SurfaceAlmanac $almanacs,
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
        // Pages of one player, one for each output, tell at the same moment.
        $this->entities->wrapInTransaction(function () use ($player, $proof): void {
            $this->players->lock($player);
            $this->hear($player, $proof);
        });

        return true;
    }

    private function hear(Player $player, Proof $proof): void
    {
        $order = $this->players->order($player);
        $row = $this->entities->find(ProofRow::class, $player->id) ?? new ProofRow($player, 0);
        $row->receivedMs = $this->clock->nowMs();
        $row->report = $proof->toArray();
        $expectation = $order?->programme === null ? null : $this->expectation($order->programme, $player);
        $row->differences = $expectation?->isMeantBy($proof) === true ? $expectation->differences($proof) : [];
        $row->proven = $expectation?->proves($proof) ?? false;
        $this->entities->persist($row);
        $this->entities->flush();
        $this->stretches->hear($player, $row->proven, $proof, $row->receivedMs);
    }

    private function expectation(ProgrammeRow $row, Player $player): Expectation
    {
        // Asked for at three instants, twice: read once.
        $read = [];

        return new Expectation(
            Programme::read($row->content),
            function (PlanRef $ref) use (&$read, $row): ReleasedPlan {
                if (!isset($read[$ref->sha256])) {
                    $plan = $this->plan($ref, $row->surface);
                    $lists = $this->almanacs->lists($row->surface, $ref->sha256, $plan);
                    $read[$ref->sha256] = ReleasedPlan::read($plan, $this->midnights($row->surface), $lists);
                }

                return $read[$ref->sha256];
            },
            $this->acts->late((int) $row->surface->site->id, $this->clock->nowMs()),
            Target::namesOf($player->code, $row->surface->code, $row->surface->groups),
        );
    }

    /** @return list<int> what players have of their almanac, around now; a plan's own end some day */
    private function midnights(SurfaceRow $surface): array
    {
        $zone = new \DateTimeZone($surface->site->timeZone);
        $now = $this->clock->nowMs();

        return Midnights::over($zone, $now - self::AROUND_MS, $now + self::AROUND_MS);
    }

    /** @return array<string, mixed> as it was sealed */
    private function plan(PlanRef $ref, SurfaceRow $surface): array
    {
        $release = $ref->release === null ? null : $this->releases->byId($ref->release);
        $sealed = $release === null ? null : $this->releases->planOn($release, $surface)?->plan;

        return $sealed ?? (array) json_decode($this->sealed->kept($ref->sha256)['content'], true);
    }
}
