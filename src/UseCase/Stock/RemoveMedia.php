<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Reference;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Recorder;

/** Takes a file out of the Stock; one that a design uses stays. Its bytes stay too: releases may hold them. */
final readonly class RemoveMedia
{
    public function __construct(private EntityManagerInterface $entities, private Recorder $recorder)
    {
    }

    /** @throws Conflict `stock.in_use` naming the designs */
    public function __invoke(string $id, Person $person): void
    {
        $media = $this->entities->find(Media::class, $id) ?? throw Absent::named('medium');
        $uses = $this->entities->getRepository(Reference::class)->findBy(['media' => $id]);
        if ($uses !== []) {
            throw Conflict::because('stock.in_use', ['name' => $media->name, 'designs' => array_map(static fn (Reference $use) => $use->design->name, $uses)]);
        }
        $this->entities->remove($media);
        $this->entities->flush();
        $this->recorder->record($person, 'stock.remove', $id, ['name' => $media->name]);
    }
}
