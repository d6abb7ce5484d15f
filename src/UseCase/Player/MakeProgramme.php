<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\ProgrammeRow;
use UpperPane\App\Entity\Release;
use UpperPane\App\Entity\SurfaceRow;
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

    public function __invoke(SurfaceRow $surface, Release $release, int $startMs): ProgrammeRow
    {
        $programme = Programme::ofRelease(
            $surface->code,
            $this->programmes->next($surface),
            [
                'release' => $release->id,
                'number' => $release->number,
                'name' => $release->design->name,
                'sha256' => $release->sha256,
                'base' => "/released/{$release->folder}/",
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
