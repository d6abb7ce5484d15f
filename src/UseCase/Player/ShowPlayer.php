<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Player;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\ProgrammeRow;
use UpperPane\App\Repository\Players;
use UpperPane\App\Repository\Stretches;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Act\ShowActs;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Handoff\OnAir;
use UpperPane\Core\Output\Output;
use UpperPane\Core\Plan\Programme;
use UpperPane\Core\Site\Right;

/** The card of one player: what it shows and why, and what was on air on it. */
final readonly class ShowPlayer
{
    private const DAY_MS = 86_400_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Players $players,
        private PlayerStates $states,
        private Stretches $stretches,
        private ShowActs $acts,
        private Planning $planning,
        private ShiftedClock $clock,
        private Gate $gate,
    ) {
    }

    /** @return array<string, mixed> */
    public function __invoke(string $code, Person $person): array
    {
        $player = $this->players->byCode($code) ?? throw Absent::named('player');
        $site = $this->gate->demand($person, Right::See, $player->surface);
        $line = $this->states->ofSurface($player->surface);
        $now = $this->clock->nowMs();

        return [
            'zone' => $site->timeZone,
            'acts' => array_values(array_filter(
                $this->acts->lines((int) $site->id),
                static fn (array $act) => in_array($code, $act['players'], true),
            )),
            'outputs' => $this->outputs($player),
            'on_air' => OnAir::of(
                $this->stretches->since($player, $now - self::DAY_MS),
                $this->programme(...),
                $now - self::DAY_MS,
                $now,
            ),
            'players' => array_values(array_filter(
                (array) $line['players'],
                static fn (array $one) => $one['code'] === $code,
            )),
        ] + $line;
    }

    /** @return list<array{number: int, px: array{int, int}}> none where the surface's sheet cannot be read */
    private function outputs(Player $player): array
    {
        try {
            $outputs = $this->planning->sheet($player->surface)->outputMap()->outputs;
        } catch (Refusal) {
            return [];
        }
        $own = array_filter($outputs, static fn (Output $output) => $output->player === $player->code);

        return array_map(
            static fn (Output $output) => ['number' => $output->number, 'px' => $output->raster->toArray()],
            array_values($own),
        );
    }

    private function programme(string $sha256): ?Programme
    {
        $row = $this->entities->getRepository(ProgrammeRow::class)->findOneBy(['sha256' => $sha256]);

        return $row === null ? null : Programme::read($row->content);
    }
}
