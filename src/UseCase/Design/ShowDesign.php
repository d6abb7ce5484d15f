<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Revision;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\UseCase\Absent;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\Preflight;

/** Reading a design: whole for the bench, as a plan on any surface, at a moment, and its history. */
final readonly class ShowDesign
{
    private const MOST_BESIDE = 24;

    public function __construct(
        private EntityManagerInterface $entities,
        private DesignStore $store,
        private Planning $planning,
        private Answers $answers,
    ) {
    }

    /** @return array<string, mixed> in its own layout when none is named, or that one is gone */
    public function whole(string $id, Person $person, ?string $layout): array
    {
        $loaded = $this->store->load($id);
        $surface = $loaded->row->surface;

        return $this->answers->whole($loaded, $loaded->document, $person, $layout) + [
            'surface' => ['code' => $surface->code, 'name' => $surface->name, 'site' => $surface->site->name, 'zone' => $surface->site->timeZone],
            'area' => $loaded->row->area,
        ];
    }

    /** @return array<string, mixed> the plan on a surface, its own when none is named, with all findings there */
    public function plan(string $id, ?string $surfaceCode): array
    {
        return self::judged($this->compile($this->store->load($id), $surfaceCode));
    }

    /**
     * The same design on several surfaces side by side.
     *
     * @param list<string> $surfaceCodes
     *
     * @return array{plans: list<array<string, mixed>>} each with its surface and its findings there; unknown surfaces are left out
     */
    public function plans(string $id, array $surfaceCodes): array
    {
        $loaded = $this->store->load($id);
        $rows = $this->entities->getRepository(SurfaceRow::class)->findBy(['code' => array_slice($surfaceCodes, 0, self::MOST_BESIDE), 'site' => $loaded->row->surface->site], ['leftMm' => 'ASC', 'id' => 'ASC']);

        return ['plans' => array_map(function (SurfaceRow $row) use ($loaded): array {
            $plan = $this->planning->plan($loaded->row, $loaded->document, $row);

            return ['surface' => ['code' => $row->code, 'name' => $row->name]] + self::judged($plan);
        }, $rows)];
    }

    /** @return array<string, mixed> what each zone shows so many ms after the scene began */
    public function moment(string $id, int $tMs): array
    {
        $plan = $this->compile($this->store->load($id), null);

        return ['t_ms' => $tMs, 'zones' => array_map(static fn (ZonePlan $zone) => [
            'zone' => $zone->zone->id, 'letter' => $zone->zone->letter,
        ] + $zone->at($tMs), $plan->zones)];
    }

    /** @return array{revisions: list<array<string, mixed>>} the latest first */
    public function history(string $id): array
    {
        $loaded = $this->store->load($id);
        $revisions = $this->entities->getRepository(Revision::class)->findBy(['design' => $loaded->row], ['number' => 'DESC'], 50);

        return ['revisions' => array_map(static fn (Revision $revision) => Answers::revision($revision) + ['kind' => $revision->kind, 'undone' => $revision->undone], $revisions)];
    }

    private function compile(LoadedDesign $loaded, ?string $surfaceCode): Plan
    {
        $row = $surfaceCode === null
            ? $loaded->row->surface
            : $this->entities->getRepository(SurfaceRow::class)->findOneBy(['code' => $surfaceCode]) ?? throw Absent::named('surface');

        return $this->planning->plan($loaded->row, $loaded->document, $row);
    }

    /** @return array{plan: array<string, mixed>, findings: list<array<string, mixed>>} */
    private static function judged(Plan $plan): array
    {
        $findings = [...$plan->findings, ...Preflight::standard()->check($plan->zones)];

        return ['plan' => $plan->toArray(), 'findings' => array_map(static fn (Finding $finding) => $finding->toArray(), $findings)];
    }
}
