<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Adapter\StockShelf;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Surface\Surface;
use UpperPane\Core\Surface\SurfaceReader;
use UpperPane\Core\Text\Fonts;

/** Gathers what the core needs to make a plan: the surface, the media's facts, the faces, the site's zone and now. */
final readonly class Planning
{
    public function __construct(private EntityManagerInterface $entities, private Fonts $fonts, private ShiftedClock $clock)
    {
    }

    public function nowMs(): int
    {
        return $this->clock->nowMs();
    }

    public function surface(SurfaceRow $row): Surface
    {
        return SurfaceReader::read(Input::of($row->shape));
    }

    /** The surface as it lies under a design's own canvas; null when the surface has become another since the design was begun. */
    public function under(SurfaceRow $row, Design $design): ?Surface
    {
        return [$row->canvasWidth, $row->canvasHeight] === $design->canvas->toArray() ? $this->surface($row) : null;
    }

    public function context(SurfaceRow $surface, Design ...$designs): PlanContext
    {
        $ids = array_values(array_unique(array_merge(...array_map(static fn (Design $design) => $design->mediaIds(), $designs))));

        return new PlanContext(
            new StockShelf($ids === [] ? [] : $this->facts($ids)),
            $this->fonts,
            new \DateTimeZone($surface->site->timeZone),
            $this->clock->nowMs(),
            Rational::of(1),
        );
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, MediaFacts>
     */
    private function facts(array $ids): array
    {
        $facts = [];
        /** @var list<array{id: string, name: string, sha256: string, mime: string, bytes: int|string, width: ?int, height: ?int, durationMs: ?int}> $rows */
        $rows = $this->entities->createQuery('SELECT m.id, m.name, m.sha256, m.mime, m.bytes, m.width, m.height, m.durationMs FROM '.Media::class.' m WHERE m.id IN (:ids)')->setParameter('ids', $ids)->getArrayResult();
        foreach ($rows as $row) {
            $size = $row['width'] === null || $row['height'] === null ? null : Size::of($row['width'], $row['height']);
            $facts[$row['id']] = new MediaFacts($row['id'], $row['name'], $row['sha256'], $row['mime'], (int) $row['bytes'], $size, $row['durationMs']);
        }

        return $facts;
    }
}
