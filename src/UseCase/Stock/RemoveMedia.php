<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\References;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Site\Right;

/**
 * Takes a file out of the Stock; one that a design uses stays. Its bytes stay too: releases may hold them. A font is
 * only hidden: earlier revisions may be written in it.
 */
final readonly class RemoveMedia
{
    public function __construct(
        private EntityManagerInterface $entities,
        private References $references,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /** @throws Conflict `stock.in_use` naming the designs */
    public function __invoke(string $id, Person $person): void
    {
        $media = $this->entities->find(Media::class, $id) ?? throw Absent::named('medium');
        $this->gate->demand($person, Right::Clear, $media->site);
        $uses = $media->font === null
            ? $this->references->users($id)
            : $this->references->writtenIn(
                (int) $media->site->id,
                $media->font['family'],
                $media->font['weight'],
            );
        if ($uses !== []) {
            throw Conflict::because('stock.in_use', ['name' => $media->name, 'designs' => $uses]);
        }
        if ($media->font === null) {
            $this->entities->remove($media);
        } else {
            $media->state = Media::TAKEN_OUT;
        }
        $this->entities->flush();
        $this->recorder->record($person, 'stock.remove', $id, ['name' => $media->name]);
    }
}
