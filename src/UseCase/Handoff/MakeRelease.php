<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\DocumentRow;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Release;
use UpperPane\App\Entity\ReleasePlan;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Releases;
use UpperPane\App\Repository\Sealed;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\App\UseCase\Design\Stand;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Player\PlayerStates;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Site\Right;

/**
 * Seals a design at a revision: number, note, and per surface that it is for the plan, what is found there, the plan's
 * SHA-256, and all that it was compiled of. A *stop* on any of them blocks it.
 */
final readonly class MakeRelease
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Documents $documents,
        private Releases $releases,
        private Surfaces $surfaces,
        private Planning $planning,
        private Sealed $sealed,
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
        $input->keys(['revision', 'note', 'surfaces', 'made_as']);
        $note = trim($input->text('note', 500));
        $madeAs = $input->uuid('made_as');
        $release = $this->entities->wrapInTransaction(function () use ($designId, $input, $note, $madeAs, $person) {
            $loaded = $this->documents->load($designId, true) ?? throw Absent::named('design');
            $known = $this->releases->madeAs($madeAs);
            if ($known !== null) {
                // Sent again after a lost answer: it is the same one.
                $this->gate->demand($person, Right::Release, $known->design);

                return $known->design->id === $designId
                    ? $known
                    : throw Conflict::because('request.id_taken', ['id' => $madeAs]);
            }
            if ($input->int('revision', 0, \PHP_INT_MAX) !== $loaded->revision) {
                throw Conflict::because('release.revision', ['revision' => $loaded->revision]);
            }

            $own = $this->planning->stand($loaded);
            $on = Gate::thing($own->surface ?? $own->site)->document($loaded->id);
            $this->gate->demandOn($person, Right::Release, $own->site, $on);

            return $this->sealed($loaded, $this->stands($loaded, $own, $input), $note, $madeAs, $person);
        });
        $plans = $this->releases->plans($release);
        $this->recorder->record($person, 'release.make', $designId, [
            'number' => $release->number,
            'plans' => array_map(static fn (ReleasePlan $plan) => [$plan->surface->code, $plan->sha256], $plans),
        ]);

        return PlayerStates::release($release) + [
            'surfaces' => $this->releases->surfaces([$release->id])[$release->id],
            'findings' => array_merge([], ...array_map(static fn (ReleasePlan $plan) => $plan->findings, $plans)),
        ];
    }

    /**
     * @return non-empty-list<array{SurfaceRow, Stand}> the surfaces that are named, or else all that it is meant for
     *
     * @throws Refusal  `surface.unknown`
     * @throws Conflict `release.no_surface`
     */
    private function stands(LoadedDocument $loaded, Stand $own, Input $input): array
    {
        $named = $input->optional('surfaces') === null ? null : Design::codes($input->child('surfaces'));
        $codes = $named ?? array_filter([$own->surface?->code, ...Planning::design($loaded)->surfaces]);
        $named === null || $this->surfaces->demand($own->site, $named, '/surfaces');
        $stands = array_map(
            fn (SurfaceRow $row) => [$row, $this->planning->on($loaded, $row)],
            $this->surfaces->coded($own->site, array_values($codes)),
        );

        return $stands === [] ? throw Conflict::because('release.no_surface') : $stands;
    }

    /** @param non-empty-list<array{SurfaceRow, Stand}> $stands */
    private function sealed(
        LoadedDocument $loaded,
        array $stands,
        string $note,
        string $madeAs,
        Person $person,
    ): Release {
        $design = Planning::design($loaded);
        $release = new Release(
            $this->entities->getReference(DocumentRow::class, $loaded->id) ?? throw Absent::named('design'),
            $this->releases->next($loaded->id),
            $loaded->revision,
            $note,
            $person,
            $this->clock->now(),
            $design->toArray(),
            $madeAs,
        );
        $this->entities->persist($release);
        $stops = [];
        foreach ($stands as [$surface, $stand]) {
            [$judgement, $inputs] = $this->planning->judgeOf($design, $stand);
            $on = static fn (Finding $finding) => ['surface' => $surface->name] + $finding->toArray();
            $stops = [...$stops, ...array_map($on, $judgement->stops())];
            $plan = $judgement->plan->toArray();
            $sealed = $inputs->toArray();
            $sum = CanonicalJson::sha256($sealed);
            $this->sealed->keep(Sealed::INPUTS, $sum, $sealed);
            $this->entities->persist(
                new ReleasePlan(
                    $release,
                    $surface,
                    $plan,
                    array_map(static fn (Finding $finding) => $finding->toArray(), $judgement->findings),
                    CanonicalJson::sha256($plan),
                    bin2hex(random_bytes(20)),
                    $sum,
                    $inputs->sums(),
                ),
            );
        }
        if ($stops !== []) {
            throw Conflict::because('release.stopped', ['count' => count($stops)], ['findings' => $stops]);
        }
        $this->entities->flush();

        return $release;
    }
}
