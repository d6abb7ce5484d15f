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

    /** How far back labels are looked for; undoing further still works, its button just says nothing. */
    private const DESCRIBED = 40;

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

    /**
     * Labels only, in one query: this is asked with every edit.
     *
     * @return array{undo: ?string, redo: ?string}
     */
    public function describe(DesignRow $design, Person $person): array
    {
        /** @var list<array{kind: string, undone: int, label: string}> $latest newest first */
        $latest = $this->entities->getConnection()->fetchAllAssociative(
            'SELECT kind, undone, label FROM revision WHERE design_id = ? AND author_id = ? ORDER BY number DESC LIMIT '.self::DESCRIBED,
            [$design->id, $person->id],
        );
        $undo = $redo = null;
        $edited = false;
        foreach ($latest as $step) {
            $undo ??= $step['kind'] !== self::UNDO && (int) $step['undone'] === 0 ? $step['label'] : null;
            $edited = $edited || $step['kind'] === self::EDIT;
            $redo ??= $step['kind'] === self::UNDO && (int) $step['undone'] === 0 && !$edited ? $step['label'] : null;
        }

        return ['undo' => $undo, 'redo' => $redo];
    }

    /** @param list<string> $kinds */
    private function last(DesignRow $design, Person $person, array $kinds, bool $evenUndone = false): ?Revision
    {
        $conditions = 'r.design = :design AND r.author = :author AND r.kind IN (:kinds)'.($evenUndone ? '' : ' AND r.undone = false');

        /** @var ?Revision */
        return $this->entities->createQuery('SELECT r FROM '.Revision::class." r WHERE $conditions ORDER BY r.number DESC")
            ->setParameters(['design' => $design, 'author' => $person, 'kinds' => $kinds])->setMaxResults(1)->getOneOrNullResult();
    }
}
