<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\DesignRow;
use UpperPane\App\Entity\HandOff;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\ProofRow;
use UpperPane\App\Entity\Release;

/**
 * How far the latest work on a player's surface has come: *empty* (no release handed off), *waiting* (handed off, no
 * proof of it yet), *proven*, *different* (a proof says otherwise), *silent* (proven once, nothing heard of late).
 */
final readonly class PlayerStates
{
    private const SILENT_AFTER_MS = 30_000;

    public function __construct(private EntityManagerInterface $entities, private ShiftedClock $clock)
    {
    }

    /** @return array<string, mixed> */
    public function of(Player $player): array
    {
        $order = $this->order($player);
        $proof = $this->entities->find(ProofRow::class, $player->id);

        return [
            'code' => $player->code, 'name' => $player->name,
            'surface' => ['code' => $player->surface->code, 'name' => $player->surface->name],
            'paired' => $player->tokenHash !== null, 'pairing_open' => $player->pairingOpen,
            'state' => $this->state($order, $proof),
            'ordered' => $order === null ? null : self::release($order->release) + ['start_ms' => $order->startMs, 'by' => $order->by->name],
            'shows' => $proof === null ? null : [
                'release' => $proof->report['release'], 'received_ms' => $proof->receivedMs, 'proven' => $proof->proven,
                'differences' => $proof->differences, 'zones' => (object) $proof->report['zones'],
                'offset_ms' => $proof->report['offset_ms'], 'stepped' => $proof->report['stepped'],
            ],
            'unreleased' => $this->unreleased($player),
        ];
    }

    public function order(Player $player): ?HandOff
    {
        return $this->entities->getRepository(HandOff::class)->findOneBy(['player' => $player], ['number' => 'DESC']);
    }

    /** @return array<string, mixed> */
    public static function release(Release $release): array
    {
        return [
            'release' => $release->id, 'number' => $release->number, 'design' => $release->design->id, 'name' => $release->design->name,
            'revision' => $release->revision, 'note' => $release->note, 'author' => $release->author->name, 'at' => $release->at->format(\DATE_ATOM),
        ];
    }

    private function state(?HandOff $order, ?ProofRow $proof): string
    {
        return match (true) {
            $order === null => 'empty',
            $proof === null, $proof->report['release'] !== $order->release->id => 'waiting',
            !$proof->proven => 'different',
            $this->clock->nowMs() - $proof->receivedMs > self::SILENT_AFTER_MS => 'silent',
            default => 'proven',
        };
    }

    /** @return list<array<string, mixed>> designs of the surface whose latest revision is in no release */
    private function unreleased(Player $player): array
    {
        /** @var list<array{id: string, name: string, revision: int, released: ?int}> $rows */
        $rows = $this->entities->createQuery('SELECT d.id, d.name, d.revision, (SELECT MAX(r.revision) FROM '.Release::class.' r WHERE r.design = d) AS released FROM '.DesignRow::class.' d WHERE d.surface = :surface')
            ->setParameter('surface', $player->surface)->getArrayResult();

        return array_values(array_filter($rows, static fn (array $row) => $row['released'] === null || (int) $row['released'] < $row['revision']));
    }
}
