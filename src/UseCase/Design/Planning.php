<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Adapter\StockShelf;
use UpperPane\App\Entity\DesignRow;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Core\Surface\Ground;
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

    /** A design on a surface, in its area where the surface has one of that name. */
    public function plan(DesignRow $design, Design $document, SurfaceRow $row, ?SurfaceSheet $sheet = null): Plan
    {
        $sheet ??= $row->sheet();
        $area = $design->area === null ? null : $sheet->areas[$design->area] ?? null;
        $plan = PlanCompiler::compile($document, $sheet->surface, $this->context($row, $document), $area);
        $names = ['area' => (string) $design->area, 'surface' => $row->name];
        $note = match (true) {
            $design->area === null => null,
            $area === null => Finding::of('area.not_there', Severity::Caution, '', $names),
            default => Finding::of('area.rest_empty', Severity::Note, '', $names),
        };

        return $note === null ? $plan : $plan->with($note);
    }

    /** What lies under a design's own canvas; null when the surface has become another since the design was begun, or for its other layout. */
    public function under(DesignRow $design, SceneLayout $layout): ?Ground
    {
        $sheet = $design->surface->sheet();
        $place = $design->area === null ? $sheet->surface->canvas->rect() : $sheet->areas[$design->area] ?? null;

        return $place !== null && $place->size()->toArray() === $layout->canvas()->toArray() ? Ground::of($sheet->surface)->within($place) : null;
    }

    /** What lies inside the safe area of the surface the design is made for; null when none is set, or the canvas is not the surface's. */
    public function safe(DesignRow $design, SceneLayout $layout): ?Rect
    {
        $sheet = $design->surface->sheet();
        $safe = $sheet->safe();
        $whole = $sheet->surface->canvas;

        return $design->area !== null || $whole->toArray() !== $layout->canvas()->toArray() || $safe->toArray() === $whole->rect()->toArray() ? null : $safe;
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
