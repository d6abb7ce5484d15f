<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\ProgrammeRow;
use UpperPane\App\Entity\ReleasePlan;
use UpperPane\App\Repository\Programmes;
use UpperPane\Core\Plan\Programme;

/**
 * A new programme of a surface: one release from an instant on. It is stored; a row of it is never changed.
 */
final readonly class MakeProgramme
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Programmes $programmes,
        private ShiftedClock $clock,
    ) {
    }

    public function __invoke(ReleasePlan $plan, int $startMs): ProgrammeRow
    {
        [$release, $surface] = [$plan->release, $plan->surface];
        $programme = Programme::ofRelease(
            $surface->code,
            $this->programmes->next($surface),
            [
                'release' => $release->id,
                'number' => $release->number,
                'name' => $release->design->name,
                'sha256' => $plan->sha256,
                'base' => "/released/{$plan->folder}/",
            ],
            $startMs,
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
}
