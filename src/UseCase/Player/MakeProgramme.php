<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\ProgrammeRow;
use UpperPane\App\Entity\ReleasePlan;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Programmes;
use UpperPane\App\Repository\Sealed;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Plan\PlanRef;
use UpperPane\Core\Plan\Programme;

/**
 * A new programme of a surface: one release from an instant on, and the idle card where nothing holds. It is stored; a
 * row of it is never changed.
 */
final readonly class MakeProgramme
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Programmes $programmes,
        private Planning $planning,
        private Sealed $sealed,
        private ShiftedClock $clock,
    ) {
    }

    /** @param ?ProgrammeRow $before what the surface was handed last: what it shows already goes on */
    public function __invoke(ReleasePlan $plan, int $fromMs, ?ProgrammeRow $before): ProgrammeRow
    {
        [$release, $surface] = [$plan->release, $plan->surface];
        $programme = Programme::ofRelease(
            $surface->code,
            $this->programmes->next($surface),
            new PlanRef(
                $release->id,
                $release->number,
                $release->design->name,
                $plan->sha256,
                "/released/{$plan->folder}/",
            ),
            $this->idle($surface),
            $fromMs,
            $before === null ? null : Programme::read($before->content),
            $this->clock->nowMs(),
        );
        $row = new ProgrammeRow(
            $surface,
            $programme->number,
            $programme->sha256(),
            bin2hex(random_bytes(20)),
            $programme->toArray(),
            $this->clock->now(),
        );
        $this->entities->persist($row);

        return $row;
    }

    private function idle(SurfaceRow $surface): PlanRef
    {
        $card = $this->planning->idle($surface)->toArray();
        $sha256 = CanonicalJson::sha256($card);

        return new PlanRef(null, 0, $surface->name, $sha256, $this->sealed->keep(Sealed::PLAN, $sha256, $card));
    }
}
