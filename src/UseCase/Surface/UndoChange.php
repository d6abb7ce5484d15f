<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Uid\Uuid;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\SurfaceChange;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\UseCase\Conflict;
use UpperPane\Core\Base\Refusal;

/** Takes back a person's last change of a surface, or does again what they took back. */
final readonly class UndoChange
{
    public function __construct(private EntityManagerInterface $entities, private Surfaces $surfaces, private ShiftedClock $clock)
    {
    }

    /** @throws Conflict `undo.nothing`; `undo.changed_since` when someone set the same fields since; `undo.impossible` */
    public function __invoke(string $code, Person $person, bool $redo): void
    {
        $this->entities->wrapInTransaction(function () use ($code, $person, $redo): void {
            $row = $this->surfaces->row($code, true);
            $change = $this->next($row, $person, $redo) ?? throw Conflict::because('undo.nothing');
            [$from, $to] = $redo ? [$change->before, $change->after] : [$change->after, $change->before];
            $sheet = $row->sheet();
            foreach ($from as $field => $value) {
                if ($sheet->field($field) !== $value) {
                    throw Conflict::because('undo.changed_since', ['who' => $this->lastAuthor($row, $field), 'what' => $field]);
                }
            }
            try {
                $after = $sheet->with($to);
                $this->surfaces->keepAreas($row, $sheet, $after);
                $row->take($after);
            } catch (Refusal $refusal) {
                throw Conflict::because('undo.impossible', ['why' => $refusal->getMessage()]);
            }
            $change->undone = !$redo;
            ++$row->revision;
            $kind = $redo ? SurfaceChange::REDO : SurfaceChange::UNDO;
            $this->entities->persist(new SurfaceChange($row, $row->revision, Uuid::v4()->toRfc4122(), $person, $this->clock->now(), $kind, $from, $to));
            $this->entities->flush();
        });
    }

    /** The last change that stands; or the first of those taken back after it. */
    public function next(SurfaceRow $row, Person $person, bool $redo): ?SurfaceChange
    {
        $mine = $this->entities->getRepository(SurfaceChange::class);
        $standing = $mine->findOneBy(['surface' => $row, 'author' => $person, 'kind' => SurfaceChange::EDIT, 'undone' => false], ['number' => 'DESC']);
        if (!$redo) {
            return $standing;
        }
        foreach ($mine->findBy(['surface' => $row, 'author' => $person, 'kind' => SurfaceChange::EDIT, 'undone' => true], ['number' => 'ASC']) as $undone) {
            if ($undone->number > ($standing->number ?? 0)) {
                return $undone;
            }
        }

        return null;
    }

    private function lastAuthor(SurfaceRow $row, string $field): string
    {
        foreach ($this->entities->getRepository(SurfaceChange::class)->findBy(['surface' => $row], ['number' => 'DESC'], 50) as $change) {
            if (array_key_exists($field, $change->after)) {
                return $change->author->name;
            }
        }

        return '?';
    }
}
