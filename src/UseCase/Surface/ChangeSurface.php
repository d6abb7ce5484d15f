<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\SurfaceChange;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\UseCase\Conflict;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Site\SurfaceSheet;

/** Sets fields of a surface, made on some revision. Others' changes of other fields stand beside it; of the same field, the person chooses. */
final readonly class ChangeSurface
{
    public function __construct(private EntityManagerInterface $entities, private Surfaces $surfaces, private ShiftedClock $clock)
    {
    }

    /**
     * @throws Refusal  with the field's path below `/set`
     * @throws Conflict `surface.changed_since` with both versions; `surface.in_use` when it is to be archived and not `sure`
     */
    public function __invoke(string $code, Input $input, Person $person): void
    {
        $input->keys(['change', 'revision', 'set', 'sure']);
        $set = $this->set($input);
        $sentAs = $input->id('change');
        $sure = $input->has('sure') && $input->bool('sure');
        $this->entities->wrapInTransaction(function () use ($code, $input, $set, $sentAs, $sure, $person): void {
            $row = $this->surfaces->row($code, true);
            if ($this->entities->getRepository(SurfaceChange::class)->findOneBy(['sentAs' => $sentAs]) !== null) {
                return;
            }
            $sheet = $row->sheet();
            $this->refuseIfChangedSince($row, $input->int('revision', 0, $row->revision), $set, $person);
            try {
                $after = $sheet->with($set);
                $this->surfaces->keepAreas($row, $sheet, $after);
            } catch (Refusal $refusal) {
                throw $refusal->below('/set');
            }
            $uses = ($set['archived'] ?? false) === true && !$row->archived ? $this->surfaces->uses($row) : [];
            if ($uses !== [] && !$sure) {
                throw Conflict::because('surface.in_use', ['name' => $row->name, 'uses' => $uses]);
            }
            $this->take($row, $sheet, $after, array_keys($set), $sentAs, $person);
        });
    }

    /** @param list<string> $fields */
    private function take(SurfaceRow $row, SurfaceSheet $before, SurfaceSheet $after, array $fields, string $sentAs, Person $person): void
    {
        $changed = array_values(array_filter($fields, static fn (string $field) => $before->field($field) !== $after->field($field)));
        if ($changed === []) {
            return;
        }
        $values = static fn (SurfaceSheet $sheet) => array_combine($changed, array_map($sheet->field(...), $changed));
        $row->take($after);
        ++$row->revision;
        $this->entities->persist(new SurfaceChange($row, $row->revision, $sentAs, $person, $this->clock->now(), SurfaceChange::EDIT, $values($before), $values($after)));
        $this->entities->flush();
    }

    /** @return array<string, mixed> */
    private function set(Input $input): array
    {
        $set = [];
        foreach ($input->child('set')->keys(SurfaceSheet::FIELDS)->members() as $field => $value) {
            $set[$field] = $value->raw();
        }

        return $set;
    }

    /** @param array<string, mixed> $set */
    private function refuseIfChangedSince(SurfaceRow $row, int $revision, array $set, Person $person): void
    {
        /** @var list<SurfaceChange> $between */
        $between = $this->entities->createQuery('SELECT c FROM '.SurfaceChange::class.' c WHERE c.surface = :surface AND c.number > :number ORDER BY c.number DESC')
            ->setParameters(['surface' => $row, 'number' => $revision])->getResult();
        foreach ($between as $change) {
            $same = array_intersect_key($change->after, $set);
            if ($same !== [] && $change->author !== $person) {
                $fields = array_keys($same);
                throw Conflict::because('surface.changed_since', ['who' => $change->author->name, 'fields' => $fields], [
                    'revision' => $row->revision,
                    'theirs' => array_combine($fields, array_map($row->sheet()->field(...), $fields)),
                    'yours' => array_intersect_key($set, $same),
                ]);
            }
        }
    }
}
