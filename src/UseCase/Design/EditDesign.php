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
use UpperPane\Core\Document\Command\BatchResult;

/** Applies a batch made on some revision. Sent again after a lost answer, it is not done twice. */
final readonly class EditDesign
{
    public function __construct(private EntityManagerInterface $entities, private DesignStore $store, private Answers $answers)
    {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws Refusal  a command cannot be done
     * @throws Conflict someone else changed what the batch touches since its revision
     */
    public function __invoke(string $id, Input $input, Person $person): array
    {
        $input->keys(['batch', 'revision', 'commands', 'layout']);
        $layout = $input->has('layout') ? $input->id('layout') : null;
        $batchId = $input->text('batch', 36, 36);
        $batch = Batch::parse($input->child('commands'));

        return $this->entities->wrapInTransaction(function () use ($id, $input, $person, $batchId, $batch, $layout) {
            $loaded = $this->store->load($id, true);
            if ($this->entities->getRepository(Revision::class)->findOneBy(['batch' => $batchId]) !== null) {
                return $this->answers->whole($loaded, $loaded->document, $person, $layout) + ['repeated' => true];
            }
            $made = $input->int('revision', 0, $loaded->row->revision);
            $between = $made === $loaded->row->revision ? [] : $this->answers->since($loaded, $made);
            $result = $this->attempt($batch, $loaded, $made, $between);
            $base = $this->store->at($loaded, $made);
            $this->store->store($loaded, $batchId, $batch, $result, $person, UndoStack::EDIT);
            $this->entities->flush();

            return $this->answers->change($loaded, $base, $result->after, $person, $between, $layout);
        });
    }

    /** @param list<Revision> $between */
    private function attempt(Batch $batch, LoadedDesign $loaded, int $made, array $between): BatchResult
    {
        $written = array_merge([], ...array_map(static fn (Revision $revision) => $revision->writes, $between));
        try {
            $result = $batch->apply($loaded->document);
            if ($result->meets($written)) {
                throw $this->conflict($batch, $loaded, $made, $between);
            }

            return $result;
        } catch (Refusal $refusal) {
            if ($between !== []) {
                throw $this->conflict($batch, $loaded, $made, $between);
            }
            throw $refusal;
        }
    }

    /** @param non-empty-list<Revision> $between */
    private function conflict(Batch $batch, LoadedDesign $loaded, int $made, array $between): Conflict
    {
        $mine = $batch->apply($this->store->at($loaded, $made));
        $last = $between[count($between) - 1];

        return Conflict::because('design.changed_since', ['who' => $last->author->name, 'what' => $last->label], [
            'revision' => $loaded->row->revision,
            'between' => array_map(Answers::revision(...), $between),
            'zones' => Answers::versions($loaded->document, $mine->after, [...$mine->reads, ...$mine->writes]),
        ]);
    }
}
