<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\DesignRow;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Revision;

/**
 * Which of a person's own batches undo and redo would take next. An edit or a redo that is not undone can be undone; an
 * undo that is not redone can be redone, as long as the person has edited nothing since.
 */
final readonly class UndoStack
{
    public const EDIT = 'edit';
    public const UNDO = 'undo';
    public const REDO = 'redo';

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function nextUndo(DesignRow $design, Person $person): ?Revision
    {
        return $this->last($design, $person, [self::EDIT, self::REDO]);
    }

    public function nextRedo(DesignRow $design, Person $person): ?Revision
    {
        $undo = $this->last($design, $person, [self::UNDO]);
        $edit = $this->last($design, $person, [self::EDIT], true);

        return $undo !== null && ($edit === null || $edit->number < $undo->number) ? $undo : null;
    }

    /** @return array{undo: ?string, redo: ?string} labels */
    public function describe(DesignRow $design, Person $person): array
    {
        return ['undo' => $this->nextUndo($design, $person)?->label, 'redo' => $this->nextRedo($design, $person)?->label];
    }

    /** @param list<string> $kinds */
    private function last(DesignRow $design, Person $person, array $kinds, bool $evenUndone = false): ?Revision
    {
        $query = $this->entities->createQueryBuilder()->select('r')->from(Revision::class, 'r')
            ->where('r.design = :design AND r.author = :author AND r.kind IN (:kinds)')
            ->setParameters(new \Doctrine\Common\Collections\ArrayCollection([
                new \Doctrine\ORM\Query\Parameter('design', $design), new \Doctrine\ORM\Query\Parameter('author', $person), new \Doctrine\ORM\Query\Parameter('kinds', $kinds),
            ]))
            ->orderBy('r.number', 'DESC')->setMaxResults(1);
        if (!$evenUndone) {
            $query->andWhere('r.undone = false');
        }

        /** @var ?Revision */
        return $query->getQuery()->getOneOrNullResult();
    }
}
