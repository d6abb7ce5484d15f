<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\DocumentRow;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Release;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Releases;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Player\PlayerStates;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Site\Right;

/**
 * Seals a design at a revision: number, note, plan, findings, and the SHA-256 of the plan. A *stop* of the judgement
 * blocks it.
 */
final readonly class MakeRelease
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Documents $documents,
        private Releases $releases,
        private Planning $planning,
        private ShiftedClock $clock,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws Conflict `release.revision` when the design has moved on, `release.stopped` while a *stop* stands
     */
    public function __invoke(string $designId, Input $input, Person $person): array
    {
        $input->keys(['revision', 'note', 'made_as']);
        $note = trim($input->text('note', 500));
        $madeAs = $input->uuid('made_as');
        $release = $this->entities->wrapInTransaction(function () use ($designId, $input, $note, $madeAs, $person) {
            $loaded = $this->documents->load($designId, true) ?? throw Absent::named('design');
            $known = $this->releases->madeAs($madeAs);
            if ($known !== null) {
                // Sent again after a lost answer: it is the same one.
                $this->gate->demand($person, Right::Release, $known->surface->site);

                return $known->design->id === $designId
                    ? $known
                    : throw Conflict::because('request.id_taken', ['id' => $madeAs]);
            }
            if ($input->int('revision', 0, \PHP_INT_MAX) !== $loaded->revision) {
                throw Conflict::because('release.revision', ['revision' => $loaded->revision]);
            }

            return $this->sealed($loaded, $note, $madeAs, $person);
        });
        $this->recorder->record($person, 'release.make', $designId, [
            'number' => $release->number,
            'sha256' => $release->sha256,
        ]);

        return PlayerStates::release($release) + ['findings' => $release->findings];
    }

    private function sealed(LoadedDocument $loaded, string $note, string $madeAs, Person $person): Release
    {
        $design = $loaded->document instanceof Design ? $loaded->document : throw Absent::named('design');
        $surface = $this->planning->surface($loaded);
        $this->gate->demand($person, Right::Release, $surface->site);
        $judgement = $this->planning->judge($loaded, $design, $surface);
        $write = static fn (Finding $finding) => $finding->toArray();
        if ($judgement->blocks()) {
            throw Conflict::because(
                'release.stopped',
                ['count' => count($judgement->stops())],
                ['findings' => array_map($write, $judgement->stops())],
            );
        }
        $plan = $judgement->plan->toArray();
        $release = new Release(
            $this->entities->getReference(DocumentRow::class, $loaded->id) ?? throw Absent::named('design'),
            $surface,
            $this->releases->next($loaded->id),
            $loaded->revision,
            $note,
            $person,
            $this->clock->now(),
            $design->toArray(),
            $plan,
            array_map($write, $judgement->findings),
            CanonicalJson::sha256($plan),
            bin2hex(random_bytes(20)),
            $madeAs,
        );
        $this->entities->persist($release);
        $this->entities->flush();

        return $release;
    }
}
