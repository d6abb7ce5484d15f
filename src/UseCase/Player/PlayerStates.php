<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\DocumentRow;
use UpperPane\App\Entity\HandOff;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\ProofRow;
use UpperPane\App\Entity\Release;
use UpperPane\App\Repository\Players;
use UpperPane\App\Repository\Releases;
use UpperPane\App\Repository\Surfaces;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Handoff\PlayerState;

/** What players should show, say they show, and could show. */
final readonly class PlayerStates
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Players $players,
        private Surfaces $surfaces,
        private Releases $releases,
        private ShiftedClock $clock,
    ) {
    }

    /** @return array<string, mixed> */
    public function of(Player $player): array
    {
        $order = $this->players->order($player);
        $proof = $this->entities->find(ProofRow::class, $player->id);

        return [
            'code' => $player->code,
            'name' => $player->name,
            'surface' => ['code' => $player->surface->code, 'name' => $player->surface->name],
            'paired' => $player->tokenHash !== null,
            'waits' => $player->publishFault === null
                    ? null
                    : Refusal::because($player->publishFault['code'], '', $player->publishFault['params'])->toArray(),
            'state' => $this->state($order, $proof)->value,
            'ordered' => $order === null
                    ? null
                    : self::release($order->release) + ['start_ms' => $order->startMs, 'by' => $order->by->name],
            'before' => $this->before($player, $order),
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
                    ],
            'unreleased' => $this->unreleased($player),
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
            'state' => $this->state($order, $this->entities->find(ProofRow::class, $player->id))->value,
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

    private function state(?HandOff $order, ?ProofRow $proof): PlayerState
    {
        return PlayerState::of(
            $order?->release->id,
            is_int($proof->report['release'] ?? null) ? $proof->report['release'] : null,
            $proof->proven ?? false,
            $proof === null ? null : $this->clock->nowMs() - $proof->receivedMs,
        );
    }

    /**
     * @return array<string, mixed>|null what it was handed before the release in force: what rolling back would bring
     */
    private function before(Player $player, ?HandOff $order): ?array
    {
        if ($order === null) {
            return null;
        }
        $orders = $this->entities->getRepository(HandOff::class);
        foreach ($orders->findBy(['player' => $player], ['number' => 'DESC'], 20) as $earlier) {
            if ($earlier->release->id !== $order->release->id) {
                return self::release($earlier->release);
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> designs of the surface whose latest revision is in no release */
    private function unreleased(Player $player): array
    {
        $released = $this->releases->latestRevisions($player->surface);
        $newer = array_filter(
            $this->surfaces->designs($player->surface),
            static fn (DocumentRow $design) => ($released[$design->id] ?? -1) < $design->revision,
        );

        return array_map(
            static fn (DocumentRow $design) => [
                'id' => $design->id,
                'name' => $design->name,
                'revision' => $design->revision,
                'released' => $released[$design->id] ?? null,
            ],
            array_values($newer),
        );
    }
}
