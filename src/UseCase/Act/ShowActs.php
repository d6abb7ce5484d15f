<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Act;

use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Acts;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Act\Act;

/** What is in force at a site beside what was handed off. */
final readonly class ShowActs
{
    public function __construct(private Acts $acts, private ShiftedClock $clock, private Gate $gate)
    {
    }

    /** @return array{acts: list<array<string, mixed>>} the last first; `players`: codes of those that it is aimed at */
    public function __invoke(string $slug, Person $person): array
    {
        $site = $this->gate->site($slug, $person);

        return ['acts' => $this->lines((int) $site->id)];
    }

    /** @return list<array<string, mixed>> */
    public function lines(int $site): array
    {
        $players = $surfaces = null;
        $lines = [];
        foreach ($this->acts->standing($site, $this->clock->nowMs()) as [$act, $by]) {
            $players ??= $this->acts->players($site);
            $surfaces ??= $this->acts->surfaces($site);
            $meant = self::meant($act, $players);
            $lines[] = TakeAct::line($act, $by) + [
                'players' => $meant,
                'surfaces' => array_values(array_unique(array_intersect_key($surfaces, array_flip($meant)))),
            ];
        }

        return $lines;
    }

    /**
     * @param array<string, list<string>> $players
     *
     * @return list<string>
     */
    private static function meant(Act $act, array $players): array
    {
        return array_map(strval(...), array_keys(array_filter($players, $act->aimsAt(...))));
    }
}
