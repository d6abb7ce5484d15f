<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Site;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\UseCase\Surface\ShowSurface;
use UpperPane\App\UseCase\Surface\Surfaces;

/** The site's surfaces to scale, with their designs and players; what was archived by name. */
final readonly class ShowElevation
{
    public function __construct(private EntityManagerInterface $entities, private Surfaces $surfaces, private ShowSurface $show)
    {
    }

    /** @return array<string, mixed> */
    public function __invoke(string $slug): array
    {
        $site = $this->surfaces->site($slug);
        $rows = $this->entities->getRepository(SurfaceRow::class)->findBy(['site' => $site], ['leftMm' => 'ASC', 'id' => 'ASC']);
        $there = array_values(array_filter($rows, static fn (SurfaceRow $row) => !$row->archived));
        $archived = array_values(array_filter($rows, static fn (SurfaceRow $row) => $row->archived));

        return [
            'site' => ['slug' => $site->slug, 'name' => $site->name, 'address' => $site->address, 'zone' => $site->timeZone],
            'surfaces' => array_map($this->show->line(...), $there),
            'archived' => array_map(static fn (SurfaceRow $row) => ['code' => $row->code, 'name' => $row->name, 'revision' => $row->revision], $archived),
        ];
    }
}
