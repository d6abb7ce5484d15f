<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\DesignRow;
use UpperPane\App\Entity\HandOff;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Site;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\UseCase\Absent;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Output\OutputMap;
use UpperPane\Core\Output\Wiring;
use UpperPane\Core\Site\SurfaceSheet;

/** Finds surfaces and what belongs to them. */
final readonly class Surfaces
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws Absent */
    public function site(string $slug): Site
    {
        return $this->entities->getRepository(Site::class)->findOneBy(['slug' => $slug]) ?? throw Absent::named('site');
    }

    /** @throws Absent */
    public function row(string $code, bool $lock = false): SurfaceRow
    {
        $row = $this->entities->getRepository(SurfaceRow::class)->findOneBy(['code' => $code]) ?? throw Absent::named('surface');
        $lock && $this->entities->refresh($row, LockMode::PESSIMISTIC_WRITE);

        return $row;
    }

    /** @return list<Player> */
    public function players(SurfaceRow $row): array
    {
        return $this->entities->getRepository(Player::class)->findBy(['surface' => $row], ['id' => 'ASC']);
    }

    /** @return array<string, int> player → how many outputs it has */
    public function outputCounts(SurfaceRow $row): array
    {
        return array_column(array_map(static fn (Player $player) => [$player->code, $player->outputs], $this->players($row)), 1, 0);
    }

    /** The output map in force: the one that was made, or one panel per output. */
    public function outputs(SurfaceRow $row, SurfaceSheet $sheet): OutputMap
    {
        $players = $this->outputCounts($row);

        return $sheet->outputs ?? ($players === [] ? OutputMap::of([]) : Wiring::onePerOutput($sheet->surface, $players));
    }

    /** @return list<string> what shows on it or is made for it, in words, before it goes */
    public function uses(SurfaceRow $row): array
    {
        $designs = $this->entities->getRepository(DesignRow::class)->findBy(['surface' => $row], ['changedAt' => 'DESC']);
        $players = array_filter($this->players($row), fn (Player $player) => $this->entities->getRepository(HandOff::class)->count(['player' => $player]) > 0);

        return [
            ...array_map(static fn (DesignRow $design) => "design “{$design->name}”", $designs),
            ...array_map(static fn (Player $player) => "player {$player->code}", array_values($players)),
        ];
    }

    /** @throws Refusal `area.in_use` when an area goes that designs are made for */
    public function keepAreas(SurfaceRow $row, SurfaceSheet $before, SurfaceSheet $after): void
    {
        foreach (array_keys(array_diff_key($before->areas, $after->areas)) as $area) {
            $designs = $this->entities->getRepository(DesignRow::class)->findBy(['surface' => $row, 'area' => $area]);
            if ($designs !== []) {
                throw Refusal::because('area.in_use', '/areas', ['area' => $area, 'designs' => array_map(static fn (DesignRow $design) => $design->name, $designs)]);
            }
        }
    }

    /** A code for addresses, from a name, that no other surface or player has. */
    public function freeCode(string $name): string
    {
        $plain = transliterator_transliterate('Any-Latin; Latin-ASCII; Lower()', $name);
        $base = trim((string) preg_replace('/[^a-z0-9]+/', '-', $plain === false ? '' : $plain), '-');
        $base = $base === '' ? 'surface' : rtrim(substr($base, 0, 30), '-');
        for ($number = 1;; ++$number) {
            $code = $number === 1 ? $base : "$base-$number";
            $taken = $this->entities->getRepository(SurfaceRow::class)->count(['code' => $code]) + $this->entities->getRepository(Player::class)->count(['code' => "$code-1"]);
            if ($taken === 0) {
                return $code;
            }
        }
    }
}
