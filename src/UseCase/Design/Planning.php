<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Site;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\FontShelf;
use UpperPane\App\Repository\HouseStyles;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\MeasuredTexts;
use UpperPane\App\Repository\MediaLibrary;
use UpperPane\App\Repository\Playlists;
use UpperPane\App\Repository\Sites;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\Repository\Variants;
use UpperPane\App\Repository\WebPages;
use UpperPane\App\UseCase\Absent;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Lists;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Plan\ContentTime;
use UpperPane\Core\Plan\IdleCard;
use UpperPane\Core\Plan\Inputs\Inputs;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Preflight\Judgement;
use UpperPane\Core\Site\SurfaceKind;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Core\Style\HouseStyle;
use UpperPane\Core\Style\Palette;
use UpperPane\Core\Text\Fonts;

/**
 * Gathers what the core needs to judge a design: the surface's sheet, the media's facts, the faces, the site's zone and
 * now.
 */
final readonly class Planning
{
    public function __construct(
        private Documents $documents,
        private Surfaces $surfaces,
        private Sites $sites,
        private MediaLibrary $media,
        private WebPages $pages,
        private Variants $variants,
        private MeasuredTexts $texts,
        private HouseStyles $styles,
        private Playlists $playlists,
        private FontShelf $fonts,
        private ShiftedClock $clock,
    ) {
    }

    public function nowMs(): int
    {
        return $this->clock->nowMs();
    }

    /** @throws Absent when it is a document of another kind */
    public static function design(LoadedDocument $loaded): Design
    {
        return $loaded->document instanceof Design ? $loaded->document : throw Absent::named('design');
    }

    /** With the entries of the playlists of the Stock that it uses. */
    public function filled(Design $design, int $site): Design
    {
        $lists = Lists::usedBy($design);

        return $lists === [] ? $design : Lists::into($design, $this->playlists->find($site, $lists));
    }

    /**
     * Where a design is made: its surface, else the first of those it is meant for, else a size that none has yet.
     *
     * @throws Absent|Refusal
     */
    public function stand(LoadedDocument $loaded): Stand
    {
        $design = self::design($loaded);
        $surface = $this->surface($loaded);

        return $surface === null
            ? new Stand(
                $this->sites->byId($loaded->siteId) ?? throw Absent::named('site'),
                null,
                SurfaceSheet::ofSize($design->canvas, $design->widthUm, $design->heightUm),
                null,
            )
            : $this->on($loaded, $surface);
    }

    /**
     * The surface where a design is made, without its sheet; null where none is meant yet.
     *
     * @throws Absent
     */
    public function surface(LoadedDocument $loaded): ?SurfaceRow
    {
        if ($loaded->surfaceId !== null) {
            return $this->surfaces->byId($loaded->surfaceId) ?? throw Absent::named('surface');
        }
        $site = $this->sites->byId($loaded->siteId) ?? throw Absent::named('site');
        $codes = self::design($loaded)->surfaces;

        return $codes === [] ? null : $this->surfaces->coded($site, $codes)[0] ?? null;
    }

    /** On a surface: its own, with its area, or another one. */
    public function on(LoadedDocument $loaded, SurfaceRow $row): Stand
    {
        $area = $row->id === $loaded->surfaceId ? $loaded->area : null;

        return new Stand($row->site, $row, $this->sheet($row), $area);
    }

    /** @throws Refusal for a sheet that cannot be read */
    public function sheet(SurfaceRow $row): SurfaceSheet
    {
        $sheet =
            $this->documents->several(SurfaceKind::NAME, [$row->document])[$row->document] ??
            throw Absent::named('surface');

        return match (true) {
            $sheet instanceof SurfaceSheet => $sheet,
            $sheet instanceof Refusal => throw $sheet,
            default => throw new \LogicException('A surface has a sheet.'),
        };
    }

    public function judge(Design $design, Stand $stand): Judgement
    {
        $design = $this->filled($design, (int) $stand->site->id);
        $this->expect($design, $stand->site, null);

        return Judgement::of($design, $stand->sheet, $stand->area, $this->context($stand->site, $design));
    }

    /**
     * The same, and all that was taken for it.
     *
     * @param ?int $fromMs null: now
     *
     * @return array{Judgement, Inputs}
     */
    public function judgeOf(Design $design, Stand $stand, ?int $fromMs = null): array
    {
        $design = $this->filled($design, (int) $stand->site->id);
        $this->expect($design, $stand->site, null);
        $context = $this->context($stand->site, $design);
        [$asking, $inputs] = Inputs::recording(
            $design,
            $this->style($stand->site, $design),
            $stand->sheet,
            $stand->area,
            $fromMs === null ? $context : $context->from($fromMs),
        );
        $judgement = Judgement::of($design, $stand->sheet, $stand->area, $asking);

        return [$judgement, $inputs()];
    }

    /** How long things of a site take by themselves. */
    public function contentTime(Site $site): ContentTime
    {
        return new ContentTime($this->media->of((int) $site->id));
    }

    /** The faces of a site. */
    public function fonts(Site $site): Fonts
    {
        return $this->fonts->of((int) $site->id);
    }

    private function style(Site $site, Design $design): ?HouseStyle
    {
        return $design->style === null ? null : $this->styles->find($site->id, $design->style);
    }

    /** With the house style that the design uses, if any. */
    public function context(Site $site, Design $design): PlanContext
    {
        $style = $this->style($site, $design);
        $context = $this->unstyled($site);
        $styled = $style === null ? $context : $context->styledBy(Palette::of($style));

        return $design->still ? $styled->unmoved() : $styled;
    }

    /** What a surface shows where nothing holds. */
    public function idle(SurfaceRow $row): Plan
    {
        return IdleCard::on($this->sheet($row), $this->unstyled($row->site));
    }

    private function unstyled(Site $site): PlanContext
    {
        return new PlanContext(
            $this->media->of((int) $site->id),
            $this->pages,
            $this->fonts->of((int) $site->id),
            new \DateTimeZone($site->timeZone),
            $this->clock->nowMs(),
            Rational::of(1),
            variants: $this->variants,
            widths: $this->texts->of((int) $site->id),
        );
    }

    /**
     * Fetches the facts of all media at once that these zones use.
     *
     * @param ?list<string> $zones null for all, grounds included
     */
    public function expect(Design $design, Site $site, ?array $zones): void
    {
        $ids = [];
        foreach ($zones ?? array_keys($design->zones) as $id) {
            $ids = [...$ids, ...$design->zone((string) $id)->fill()->mediaIds()];
        }
        foreach ($zones === null ? $design->scenes : [] as $scene) {
            $ids = [...$ids, ...$scene->ground->mediaIds()];
        }
        $ids = array_values(array_unique($ids));
        $media = $this->media->of((int) $site->id)->expect($ids);
        $this->variants->expect(array_values(array_filter(
            array_map(static fn (string $id) => $media->find($id)?->sha256, $ids),
        )));
    }
}
