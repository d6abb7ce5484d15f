<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Adapter\Unwritten;
use UpperPane\App\Entity\ReleasePlan;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Sealed;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Plan\Almanac;
use UpperPane\Core\Plan\ListDates;
use UpperPane\Core\Plan\Programme;

/**
 * The almanac that a surface's players go by today. Without lists that have hours it is that of its site; with some it
 * is the surface's own, and goes on from its last one.
 */
final readonly class SurfaceAlmanac
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Sealed $sealed,
        private ShiftedClock $clock,
    ) {
    }

    /**
     * The same one all day.
     *
     * @param list<ReleasePlan> $plans that the programme names
     *
     * @return array{sha256: string, folder: string, content: string}
     *
     * @throws Unwritten
     */
    public function of(SurfaceRow $surface, ?Programme $programme, array $plans): array
    {
        $almanac = Almanac::of(new \DateTimeZone($surface->site->timeZone), $this->clock->nowMs());
        $timed = [];
        foreach ($plans as $plan) {
            if (ListDates::areIn($plan->plan)) {
                $timed[$plan->sha256] = $plan->plan;
            }
        }
        if ($timed === []) {
            return $this->keep($almanac);
        }
        $starts = array_map(
            static fn (string $plan) => $programme?->startsOf($plan) ?? [],
            array_combine(array_keys($timed), array_keys($timed)),
        );
        $for = CanonicalJson::sha256(['almanac' => $almanac->sha256(), 'starts' => $starts]);
        if ($surface->almanacFor !== $for || $surface->almanac === null) {
            $before = $this->last($surface);
            $lists = [];
            foreach ($timed as $sha256 => $plan) {
                $known = ListDates::sealed($plan, $before[$sha256] ?? []);
                $lists[$sha256] = $almanac->lists($plan, $starts[$sha256], $known);
            }
            $kept = $this->keep($almanac->with($lists));
            [$surface->almanac, $surface->almanacFor] = [$kept['sha256'], $for];
            $this->entities->flush();

            return $kept;
        }

        return ['sha256' => $surface->almanac] + $this->sealed->kept($surface->almanac);
    }

    /**
     * The lists with hours of a plan, as its players have them.
     *
     * @param array<string, mixed> $plan as it is sealed
     *
     * @return array<string, ListDates> by zone
     */
    public function lists(SurfaceRow $surface, string $sha256, array $plan): array
    {
        return ListDates::areIn($plan) ? ListDates::sealed($plan, $this->last($surface)[$sha256] ?? []) : [];
    }

    /** @return array<string, array<string, mixed>> of its last almanac the lists, by the hash of their plan */
    private function last(SurfaceRow $surface): array
    {
        return $surface->almanac === null
            ? []
            : json_decode($this->sealed->kept($surface->almanac)['content'], true)['lists'] ?? [];
    }

    /** @return array{sha256: string, folder: string, content: string} */
    private function keep(Almanac $almanac): array
    {
        $sha256 = $almanac->sha256();
        $this->sealed->keep(Sealed::ALMANAC, $sha256, $almanac->toArray());

        return ['sha256' => $sha256] + $this->sealed->kept($sha256);
    }
}
