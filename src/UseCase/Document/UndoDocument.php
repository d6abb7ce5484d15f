<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Document;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\Kinds;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\UseCase\Conflict;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\History;
use UpperPane\Core\Change\Nature;
use UpperPane\Core\Change\Outcome;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Change\Step;

/**
 * Takes back a person's last edit that stands, or does again what they took back, by the stored inverse on the head.
 * Sent again, it is not done twice.
 */
final readonly class UndoDocument
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Documents $documents,
        private Kinds $kinds,
        private Desks $desks,
    ) {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws Conflict `undo.nothing`; `undo.changed_since` naming who changed what; `undo.impossible`
     */
    public function __invoke(string $id, Input $input, Person $person, Nature $nature): array
    {
        $input->keys(['batch', 'client', 'view', 'depends']);
        $drawn = $input->optional('depends')?->asText(64);
        [$batchId, $client] = [$input->uuid('batch'), $input->uuid('client')];
        $view = View::parse($input->optional('view'));

        return $this->entities->wrapInTransaction(function () use (
            $id,
            $person,
            $nature,
            $batchId,
            $client,
            $view,
            $drawn,
        ) {
            [$head, $desk] = $this->desks->open($id, $person, true);
            $known =
                $this->documents->knows($batchId, $id, $person, $nature) ??
                throw Conflict::because('request.id_taken', ['id' => $batchId]);
            if ($known) {
                $depends = $desk->dependsOn($head)->text();

                return $desk->whole($head, $person, $view)
                    + ['between' => [], 'depends' => $depends, 'repeated' => true];
            }
            $target = $this->target($head, $person, $nature);
            $batch = $this->documents->inverse($id, $target->number, $this->kinds->named($head->kind));
            try {
                $taken = $batch->apply($head->document);
                $this->refuseInTheWay($head, $target, $taken->writes);
                // A history says what was taken back, not how.
                $outcome = new Outcome(
                    $taken->after,
                    $taken->inverse,
                    $taken->reads,
                    $taken->writes,
                    $this->documents->labels($id, $target->number),
                );
                $desk->follow($head, $outcome->after, true);
            } catch (Refusal $refusal) {
                throw Conflict::because('undo.impossible', ['why' => $refusal->getMessage()]);
            }
            $stored = $this->documents->store(
                $head,
                $batchId,
                $client,
                $batch,
                $outcome,
                $desk->name($outcome->after),
                $person,
                $nature,
                $target->number,
            );

            $depends = $desk->dependsOn($stored)->text();
            $answer = $drawn === null || $desk->dependsOn($head)->agreesWith($drawn)
                ? $desk->changed($stored, $head->document, $person, $view)
                : $desk->whole($stored, $person, $view);

            return $answer + ['between' => [], 'depends' => $depends];
        });
    }

    private function target(LoadedDocument $head, Person $person, Nature $nature): Step
    {
        $own = $this->documents->newestOf($head->id, $person);
        $next = History::next($own, (string) $person->id)[$nature === Nature::Undo ? 'undo' : 'redo'];
        $target = $next === null ? null : $this->documents->stepOf($head->id, $next->number);
        if ($target === null) {
            throw Conflict::because('undo.nothing');
        }
        $this->refuseInTheWay($head, $target, null);

        return $target;
    }

    /**
     * @param ?Scopes $undoing what its inverse writes
     *
     * @throws Conflict `undo.changed_since`
     */
    private function refuseInTheWay(LoadedDocument $head, Step $target, ?Scopes $undoing): void
    {
        $inTheWay = History::inTheWay($target, $this->documents->since($head->id, $target->number), $undoing);
        if ($inTheWay !== []) {
            $numbers = array_map(static fn (Step $step) => $step->number, $inTheWay);
            $lines = array_filter(
                $this->documents->lines($head->id, $target->number),
                static fn (array $line) => in_array($line['number'], $numbers, true),
            );
            throw Conflict::because(
                'undo.changed_since',
                ['who' => implode(', ', array_unique(array_column($lines, 'author')))],
                ['between' => array_reverse(array_values($lines))],
            );
        }
    }
}
