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
        foreach ($this->entities->getRepository(Media::class)->findBy(['id' => $ids]) as $media) {
            $facts[$media->id] = new MediaFacts(
                $media->id, $media->name, $media->sha256, $media->mime, $media->bytes,
                $media->width === null || $media->height === null ? null : Size::of($media->width, $media->height),
                $media->durationMs,
            );
        }

        return $facts;
    }
}
