<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Site;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\DesignRow;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Site;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\App\UseCase\Handoff\PlayerStates;

/** The site's surfaces to scale: sizes in mm, canvas, ratio, orientation, seams, and the designs of each. */
final readonly class ShowElevation
{
    public function __construct(private EntityManagerInterface $entities, private Planning $planning, private PlayerStates $states)
    {
    }

    /** @return array<string, mixed> */
    public function __invoke(string $slug): array
    {
        $site = $this->entities->getRepository(Site::class)->findOneBy(['slug' => $slug]) ?? throw Absent::named('site');
        $surfaces = $this->entities->getRepository(SurfaceRow::class)->findBy(['site' => $site], ['leftMm' => 'ASC']);

        return [
            'site' => ['slug' => $site->slug, 'name' => $site->name, 'address' => $site->address, 'zone' => $site->timeZone],
            'surfaces' => array_map($this->surface(...), $surfaces),
        ];
    }

    /** @return array<string, mixed> */
    private function surface(SurfaceRow $row): array
    {
        $surface = $this->planning->surface($row);
        $designs = $this->entities->getRepository(DesignRow::class)->findBy(['surface' => $row], ['changedAt' => 'DESC']);
        $players = $this->entities->getRepository(Player::class)->findBy(['surface' => $row]);

        return [
            'code' => $row->code, 'name' => $row->name, 'kind' => $row->kind,
            'left_mm' => $row->leftMm, 'floor_mm' => $row->floorMm,
            'width_um' => $surface->widthUm(), 'height_um' => $surface->heightUm(),
            'orientation' => $surface->canvas->isPortrait() ? 'portrait' : 'landscape',
            'rotation' => $surface->panels[0]->panel->rotation,
            'native' => $surface->panels[0]->panel->native->toArray(),
            'designs' => array_map(static fn (DesignRow $design) => [
                'id' => $design->id, 'name' => $design->name, 'revision' => $design->revision,
                'changed_at' => $design->changedAt->format(\DATE_ATOM), 'changed_by' => $design->changedBy?->name,
            ], $designs),
            'players' => array_map(fn (Player $player) => ['code' => $player->code, 'state' => $this->states->of($player)['state']], $players),
        ] + $surface->toArray();
    }
}
