<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\HandOff;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\ProofRow;
use UpperPane\App\Entity\Release;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Players;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Handoff\OutputReport;
use UpperPane\Core\Handoff\PlayerState;

/** What surfaces should show, and what their players say they show. */
final readonly class PlayerStates
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Players $players,
        private ShiftedClock $clock,
    ) {
    }

    /** @return array<string, mixed> what a surface should show, and what its players say */
    public function ofSurface(SurfaceRow $surface): array
    {
        $order = $this->players->orderOf($surface);
        $players = array_map(fn (Player $player) => $this->of($player, $order), $this->players->feeding($surface));
        $states = array_map(PlayerState::from(...), array_column($players, 'state'));

        return [
            'surface' => [
                'code' => $surface->code,
                'name' => $surface->name,
                'things' => Gate::thing($surface)->names,
            ],
            'state' => PlayerState::worst($states)->value,
            'after' => $order->number ?? 0,
            'ordered' => self::ordered($order),
            'before' => $this->before($surface, $order),
            'players' => $players,
        ];
    }

    /** @return array<string, mixed> */
    private function of(Player $player, ?HandOff $ofSurface): array
    {
        $order = $this->players->order($player);
        $proof = $this->proof($player);

        return [
            'code' => $player->code,
            'name' => $player->name,
            'paired' => $player->tokenHash !== null,
            'waits' => $player->publishFault === null
                    ? null
                    : Refusal::because($player->publishFault['code'], '', $player->publishFault['params'])->toArray(),
            'state' => $this->stateOf($order, $proof)->value,
            // Only where it is another one than its surface's: handed to it alone before surfaces had programmes.
            'apart' => $order?->player === null || $ofSurface === $order
                    ? null
                    : self::ordered($order),
            'shows' => $proof === null
                    ? null
                    : [
                        'release' => $proof->report['release'],
                        'received_ms' => $proof->receivedMs,
                        'proven' => $proof->proven,
                        'differences' => $proof->differences,
                        'zones' => (object) $proof->report['zones'],
                        'scene' => $proof->report['scene'] ?? null,
                        'offset_ms' => $proof->report['offset_ms'],
                        'stepped' => $proof->report['stepped'],
                        'outputs' => self::outputs($proof),
                        'act' => $proof->report['act'] ?? null,
                        'unconfirmed' => (bool) ($proof->report['unconfirmed'] ?? false),
                        'almanac_over' => (bool) ($proof->report['almanac_over'] ?? false),
                    ],
        ];
    }

    /** @return ?array{numbers: list<int>, agree: bool} null where it does not tell of two */
    private static function outputs(ProofRow $proof): ?array
    {
        $report = Input::of($proof->report);
        $outputs = $report->has('outputs') ? array_map(OutputReport::read(...), $report->list('outputs')) : [];
        $agree = OutputReport::agree($outputs);

        return $agree === null ? null : [
            'numbers' => array_map(static fn (OutputReport $output) => $output->number, $outputs),
            'agree' => $agree,
        ];
    }

    /**
     * @return array{state: string, ordered: ?array{release: int, design: string, number: int, revision: int,
     *     start_ms: int}} for lists
     */
    public function brief(Player $player): array
    {
        $order = $this->players->order($player);
        $release = $order?->release;

        return [
            'state' => $this->stateOf($order, $this->proof($player))->value,
            'ordered' => $release === null
                    ? null
                    : [
                        'release' => $release->id,
                        'design' => $release->design->id,
                        'number' => $release->number,
                        'revision' => $release->revision,
                        'start_ms' => $order->startMs,
                    ],
        ];
    }

    /** @return array<string, mixed> */
    public static function release(Release $release): array
    {
        return [
            'release' => $release->id,
            'number' => $release->number,
            'design' => $release->design->id,
            'name' => $release->design->name,
            'revision' => $release->revision,
            'note' => $release->note,
            'author' => $release->author->name,
            'at' => $release->at->format(\DATE_ATOM),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function ordered(?HandOff $order): ?array
    {
        return $order === null
            ? null
            : self::release($order->release) + ['start_ms' => $order->startMs, 'by' => $order->by->name];
    }

    private function stateOf(?HandOff $order, ?ProofRow $proof): PlayerState
    {
        // Pages of the version before name the release alone.
        $shown = match (true) {
            $proof === null => null,
            is_string($proof->report['programme'] ?? null) => $proof->report['programme'],
            default => $proof->report['release'] === $order?->release->id ? $order?->programme?->sha256 : null,
        };

        return PlayerState::of(
            $order === null ? null : $order->programme->sha256 ?? '',
            $shown,
            $proof->proven ?? false,
            $proof === null ? null : $this->clock->nowMs() - $proof->receivedMs,
        );
    }

    private function proof(Player $player): ?ProofRow
    {
        return $this->entities->find(ProofRow::class, $player->id);
    }

    /**
     * @return array<string, mixed>|null what it was handed before the release in force: what rolling back would bring
     */
    private function before(SurfaceRow $surface, ?HandOff $order): ?array
    {
        foreach ($order === null ? [] : $this->players->handed($surface, 20) as $earlier) {
            if ($earlier->release->id !== $order->release->id) {
                return self::release($earlier->release);
            }
        }

        return null;
    }
}
