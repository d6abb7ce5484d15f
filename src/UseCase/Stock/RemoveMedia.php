<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\References;
use UpperPane\App\Repository\Sites;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Site\Right;

/**
 * Takes a file out of the Stock, and brings it back. One that designs use stays, unless whoever takes it out has seen
 * where: there nothing is shown then. A font that something is written in stays in any case. Bytes stay: releases may
 * hold them.
 */
final readonly class RemoveMedia
{
    public function __construct(
        private EntityManagerInterface $entities,
        private References $references,
        private Sites $sites,
        private ShiftedClock $clock,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /**
     * @param int $seenUses in how many documents it was said to be used
     *
     * @throws Conflict `stock.in_use` naming the documents
     */
    public function __invoke(string $id, int $seenUses, Person $person): void
    {
        $this->entities->wrapInTransaction(function () use ($id, $seenUses, $person): void {
            $media = $this->found($id, $person);
            $uses = $this->references->users($media);
            if ($uses !== [] && ($media->isFont() || count($uses) !== $seenUses)) {
                throw Conflict::because('stock.in_use', ['name' => $media->name, 'designs' => $uses]);
            }
            $media->takenMs = $this->clock->nowMs();
            $this->recorder->record($person, 'stock.remove', $id, ['name' => $media->name, 'used_in' => $uses]);
        });
    }

    /**
     * @return array<string, mixed>
     *
     * @throws Conflict `stock.there`
     */
    public function back(string $id, Person $person): array
    {
        return $this->entities->wrapInTransaction(function () use ($id, $person): array {
            $media = $this->found($id, $person);
            if ($media->takenMs === null) {
                throw Conflict::because('stock.there', ['name' => $media->name]);
            }
            $media->takenMs = null;
            $this->recorder->record($person, 'stock.back', $id, ['name' => $media->name]);

            return StockList::line($media, count($this->references->users($media)));
        });
    }

    private function found(string $id, Person $person): Media
    {
        $media = $this->entities->find(Media::class, $id) ?? throw Absent::named('medium');
        $this->gate->demand($person, Right::Clear, $media->site);
        $this->sites->lock($media->site);
        $this->entities->refresh($media);

        return $media;
    }
}
