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
use UpperPane\Core\Change\Batch;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\History;
use UpperPane\Core\Change\Nature;
use UpperPane\Core\Change\Outcome;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Change\Step;

/**
 * Applies a batch of one client's queue, made on some revision. Sent again after a lost answer, it is not done twice.
 * What others did since stands beside it where the two do not meet; else the person chooses.
 */
final readonly class EditDocument
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
     * @throws Refusal  a command cannot be done
     * @throws Conflict `document.changed_since` with both versions of the touched things
     */
    public function __invoke(string $id, Input $input, Person $person): array
    {
        $input->keys(['batch', 'client', 'revision', 'shown', 'commands', 'view', 'sure', 'depends']);
        [$batchId, $client] = [$input->uuid('batch'), $input->uuid('client')];
        $view = View::parse($input->optional('view'));
        $sure = $input->has('sure') && $input->bool('sure');
        $drawn = $input->optional('depends')?->asText(64);

        return $this->entities->wrapInTransaction(function () use (
            $id,
            $input,
            $person,
            $batchId,
            $client,
            $view,
            $sure,
            $drawn,
        ) {
            [$head, $desk] = $this->desks->open($id, $person, true);
            $known =
                $this->documents->knows($batchId, $id, $person, Nature::Edit) ??
                throw Conflict::because('request.id_taken', ['id' => $batchId]);
            if ($known) {
                $depends = $desk->dependsOn($head)->text();

                return $desk->whole($head, $person, $view)
                    + ['between' => [], 'depends' => $depends, 'repeated' => true];
            }
            // Where the page shows an older house style, a part of the new one would stand beside the rest of the old.
            $isStale = $drawn !== null && !$desk->dependsOn($head)->agreesWith($drawn);
            $kind = $this->kinds->named($head->kind);
            $batch = Batch::parse($input->child('commands'), $kind)->merged();
            $made = $input->int('revision', 0, $head->revision);
            // A queue may lag behind its page: what the page shows already is not said again.
            $shown = $input->has('shown') ? $input->int('shown', $made, $head->revision) : $made;
            $since = $made === $head->revision ? [] : $this->documents->since($id, $made);
            $outcome = $this->attempt($batch, $head, $made, $since, $client);
            $seen = $this->documents->documentAt($head, $shown);
            $unseen = array_values(array_filter($since, static fn (Step $step) => $step->number > $shown));
            $desk->follow($head, $outcome->after, $sure);
            $stored = $this->documents->store(
                $head,
                $batchId,
                $client,
                $batch,
                $outcome,
                $desk->name($outcome->after),
                $person,
                Nature::Edit,
                null,
            );

            $between = $this->between($id, $unseen, $client);

            $depends = $desk->dependsOn($stored)->text();
            $answer = $isStale
                ? $desk->whole($stored, $person, $view)
                : $desk->changed($stored, $seen, $person, $view);

            return $answer + ['between' => $between, 'depends' => $depends];
        });
    }

    /**
     * @param Batch<Document> $batch
     * @param list<Step>      $since
     *
     * @return Outcome<Document>
     */
    private function attempt(Batch $batch, LoadedDocument $head, int $made, array $since, string $client): Outcome
    {
        try {
            $outcome = $batch->apply($head->document);
        } catch (Refusal $refusal) {
            $this->refuseWithBothVersions($batch, $head, $made, $since, $client, $refusal);
            throw $refusal;
        }
        $clashes = History::clashes($since, $client, $outcome->touched());
        if ($clashes !== []) {
            throw $this->conflict($head, $this->attempted($batch, $head, $made) ?? $outcome, $clashes);
        }

        return $outcome;
    }

    /**
     * What cannot be done any more, but could be on its own revision, is a conflict with whoever changed what it
     * touches.
     *
     * @param Batch<Document> $batch
     * @param list<Step>      $since
     */
    private function refuseWithBothVersions(
        Batch $batch,
        LoadedDocument $head,
        int $made,
        array $since,
        string $client,
        Refusal $refusal,
    ): void {
        $mine = $since === [] ? null : $this->attempted($batch, $head, $made);
        $others = array_values(array_filter($since, static fn (Step $step) => $step->client !== $client));
        if ($mine !== null && $others !== []) {
            $clashes = History::clashes($since, $client, $mine->touched());
            throw $this->conflict($head, $mine, $clashes === [] ? $others : $clashes);
        }
    }

    /**
     * @param Batch<Document> $batch
     *
     * @return ?Outcome<Document> on the revision it was made on
     */
    private function attempted(Batch $batch, LoadedDocument $head, int $made): ?Outcome
    {
        try {
            return $batch->apply($this->documents->documentAt($head, $made));
        } catch (Refusal) {
            return null;
        }
    }

    /**
     * @param Outcome<Document>    $mine
     * @param non-empty-list<Step> $clashes
     */
    private function conflict(LoadedDocument $head, Outcome $mine, array $clashes): Conflict
    {
        $lines = $this->between($head->id, $clashes, '');
        $met = Scopes::of()->and(
            ...array_map(
                static fn (Step $step) => $mine
                    ->touched()
                    ->shared($step->writes)
                    ->and($step->writes->shared($mine->touched())),
                $clashes,
            ),
        );

        return Conflict::because(
            'document.changed_since',
            ['who' => implode(', ', array_unique(array_column($lines, 'author')))],
            [
                'revision' => $head->revision,
                'between' => $lines,
                'things' => $this->kinds->named($head->kind)->versions($head->document, $mine->after, $met),
            ],
        );
    }

    /**
     * @param list<Step> $steps
     *
     * @return list<array<string, mixed>> as people read them, oldest first, without this client's own
     */
    private function between(string $id, array $steps, string $client): array
    {
        $numbers = array_map(
            static fn (Step $step) => $step->number,
            array_filter($steps, static fn (Step $step) => $step->client !== $client),
        );
        $lines = $numbers === [] ? [] : $this->documents->lines($id, min($numbers) - 1);

        return array_reverse(
            array_values(array_filter($lines, static fn (array $line) => in_array($line['number'], $numbers, true))),
        );
    }
}
