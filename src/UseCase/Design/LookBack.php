<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Document\Desks;
use UpperPane\App\UseCase\Document\EditDocument;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Differences;
use UpperPane\Core\Design\Scenes\RestoreDesign;

/** Earlier revisions of a design: looked at beside what is there now, and restored as a new one. */
final readonly class LookBack
{
    public function __construct(
        private Documents $documents,
        private Desks $desks,
        private Planning $planning,
        private EditDocument $edit,
    ) {
    }

    /**
     * @return array{revision: int, now: int, plan: array<string, mixed>, differences: list<array<string, mixed>>}
     *     the plan it would have on its surface as that is now
     */
    public function show(string $id, int $revision, Person $person): array
    {
        [$head] = $this->desks->open($id, $person);
        $design = Planning::design($head);
        $then = $this->at($head, $revision);
        $plan = $this->planning->judge($then, $this->planning->stand($head))->plan;

        return [
            'revision' => $revision,
            'now' => $head->revision,
            'plan' => $plan->dated(),
            'differences' => Differences::between($then, $design),
        ];
    }

    /**
     * As one edit, made on the revision that was looked at: what others did since is asked about.
     *
     * @return array<string, mixed> the answer of an edit
     */
    public function restore(string $id, Input $input, Person $person): array
    {
        $input->keys(['batch', 'client', 'revision', 'to', 'view']);
        [$head] = $this->desks->open($id, $person);
        $then = $this->at($head, $input->int('to', 0, $head->revision));
        $view = $input->optional('view');

        return ($this->edit)(
            $id,
            Input::of(
                [
                    'batch' => $input->uuid('batch'),
                    'client' => $input->uuid('client'),
                    'revision' => $input->int('revision', 0, $head->revision),
                    'commands' => [RestoreDesign::of($then)->toArray()],
                ] + ($view === null ? [] : ['view' => $view->raw()]),
            ),
            $person,
        );
    }

    private function at(LoadedDocument $head, int $revision): Design
    {
        if ($revision > $head->revision) {
            throw Absent::named('revision');
        }
        $then = $this->documents->documentAt($head, $revision);

        return $then instanceof Design ? $then : throw Absent::named('design');
    }
}
