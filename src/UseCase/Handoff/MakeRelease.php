<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Handoff;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\Published;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Release;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Design\DesignStore;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\App\UseCase\Recorder;
use UpperPane\App\UseCase\Surface\Surfaces;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Output\WiringCheck;
use UpperPane\Core\Preflight\Preflight;

/** Seals a design at a revision: number, note, plan, findings, and the SHA-256 of the plan. A *stop* blocks it. */
final readonly class MakeRelease
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $database,
        private DesignStore $store,
        private Planning $planning,
        private Surfaces $surfaces,
        private Published $published,
        private ShiftedClock $clock,
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
        $input->keys(['revision', 'note']);
        $note = trim($input->text('note', 500));
        $release = $this->entities->wrapInTransaction(function () use ($designId, $input, $note, $person) {
            $loaded = $this->store->load($designId, true);
            if ($input->int('revision', 0, \PHP_INT_MAX) !== $loaded->row->revision) {
                throw Conflict::because('release.revision', ['revision' => $loaded->row->revision]);
            }
            $surface = $loaded->row->surface;
            $outputs = $this->surfaces->outputs($surface, $surface->sheet());
            $plan = $this->planning->plan($loaded->row, $loaded->document, $surface)->leavingBy($outputs);
            $findings = [
                ...$plan->surface->findings, ...WiringCheck::of($outputs, $plan->surface, $this->surfaces->outputCounts($surface)),
                ...$plan->findings, ...Preflight::standard()->check($plan->zones),
            ];
            if (Preflight::blocks($findings)) {
                $stops = array_filter($findings, static fn (Finding $finding) => $finding->severity === Severity::Stop);
                throw Conflict::because('release.stopped', ['count' => count($stops)], ['findings' => array_map(static fn (Finding $finding) => $finding->toArray(), array_values($stops))]);
            }
            $sealed = $plan->toArray();
            $number = 1 + (int) $this->database->fetchOne('SELECT MAX(number) FROM release_ WHERE design_id = ?', [$designId]);
            $release = new Release(
                $loaded->row, $surface, $number, $loaded->row->revision, $note, $person, $this->clock->now(),
                $loaded->document->toArray(), $sealed, array_map(static fn (Finding $finding) => $finding->toArray(), $findings),
                CanonicalJson::sha256($sealed), bin2hex(random_bytes(20)),
            );
            $this->published->pack($release->folder, CanonicalJson::encode($sealed), $sealed['media']);
            $this->entities->persist($release);
            $this->entities->flush();

            return $release;
        });
        $this->recorder->record($person, 'release.make', $designId, ['number' => $release->number, 'sha256' => $release->sha256]);

        return PlayerStates::release($release) + ['findings' => $release->findings];
    }
}
