<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Revision;
use UpperPane\App\UseCase\Conflict;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Command\Batch;

/** Takes back a person's last batch, or does again what they took back, by sending the stored inverse against the head. */
final readonly class UndoEdit
{
    public function __construct(
        private EntityManagerInterface $entities,
        private DesignStore $store,
        private Answers $answers,
        private UndoStack $stack,
    ) {
    }

    /**
     * @param string $kind {@see UndoStack::UNDO} or {@see UndoStack::REDO}
     *
     * @return array<string, mixed>
     *
     * @throws Conflict `undo.nothing`, or `undo.changed_since` naming who changed what
     */
    public function __invoke(string $id, Input $input, Person $person, string $kind): array
    {
        $input->keys(['batch', 'layout']);
        $layout = $input->has('layout') ? $input->id('layout') : null;
        $batchId = $input->text('batch', 36, 36);

        return $this->entities->wrapInTransaction(function () use ($id, $person, $kind, $batchId, $layout) {
            $loaded = $this->store->load($id, true);
            if ($this->entities->getRepository(Revision::class)->findOneBy(['batch' => $batchId]) !== null) {
                return $this->answers->whole($loaded, $loaded->document, $person, $layout) + ['repeated' => true];
            }
            $target = $kind === UndoStack::UNDO ? $this->stack->nextUndo($loaded->row, $person) : $this->stack->nextRedo($loaded->row, $person);
            if ($target === null) {
                throw Conflict::because('undo.nothing');
            }
            $this->refuseIfTouched($loaded, $target, $person);
            $batch = Batch::parse(Input::of($target->inverses));
            try {
                $result = $batch->apply($loaded->document);
            } catch (Refusal $refusal) {
                throw Conflict::because('undo.impossible', ['why' => $refusal->getMessage()]);
            }
            $target->undone = true;
            $revision = $this->store->store($loaded, $batchId, $batch, $result, $person, $kind);
            $revision->label = $target->label;
            $this->entities->flush();

            return $this->answers->change($loaded, $loaded->document, $result->after, $person, [], $layout);
        });
    }

    /**
     * Others' undone batches and the undos that cancelled them do not count: together they changed nothing. One's own are
     * taken in their order, so they never stand between.
     */
    private function refuseIfTouched(LoadedDesign $loaded, Revision $target, Person $person): void
    {
        foreach ($this->answers->since($loaded, $target->number) as $later) {
            $stands = $later->author !== $person && !$later->undone && $later->kind !== UndoStack::UNDO;
            if ($stands && array_intersect($later->writes, [...$target->reads, ...$target->writes]) !== []) {
                throw Conflict::because('undo.changed_since', ['who' => $later->author->name, 'what' => $later->label]);
            }
        }
    }
}
