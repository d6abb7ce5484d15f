<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\UseCase\Document\View;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Design\Scene;
use UpperPane\Core\Design\Starters\OwnStarter;
use UpperPane\Core\Design\Starters\OwnStarters;
use UpperPane\Core\Design\Zone;
use UpperPane\Core\Geometry\Ratio;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Placing;
use UpperPane\Core\Layout\Sizing;
use UpperPane\Core\Plan\BenchView;
use UpperPane\Core\Plan\ContentTime;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ItemCompiler;
use UpperPane\Core\Plan\ListView;
use UpperPane\Core\Plan\MarkPlan;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Plan\RoundPlan;
use UpperPane\Core\Plan\SceneCompiler;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\SceneSketch;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\Judgement;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Schedule\SaidWhen;
use UpperPane\Core\Schedule\Upcoming;
use UpperPane\Core\Schedule\ZoneTime;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Core\Surface\Ground;
use UpperPane\Core\Surface\Legibility;
use UpperPane\Core\Time\Cycles;
use UpperPane\Core\Time\Order;

/**
 * What the bench is told of a design: the layout that is looked at with its zones' plans, every scene's line, and what
 * is found.
 */
final readonly class BenchAnswer
{
    private PlanContext $context;
    private ?Ground $ground;

    public function __construct(
        private LoadedDocument $loaded,
        private Design $design,
        private LayoutAt $at,
        private SurfaceSheet $sheet,
        PlanContext $context,
        private ?LoadedDocument $shelf = null,
        /** @var list<string> what somebody may be allowed something on, see {@see \UpperPane\Core\Site\Thing} */
        private array $things = [],
    ) {
        $this->ground = self::under($sheet, $loaded->area, $at);
        $this->context = $context->on($this->ground)->seenFrom($sheet->viewingMm()[1], $sheet->surface->pitchXUm);
    }

    /** The layout a person looks at: of the rest scene, and its own one, when theirs is gone. */
    public static function look(Design $design, View $view): LayoutAt
    {
        $scene = $design->scenes[$view->scene] ?? $design->restScene();

        return LayoutAt::of($design, $scene->id, $view->turned && $scene->turned !== null);
    }

    /** @return array<string, mixed> */
    public function whole(): array
    {
        $placing = $this->placing();

        return $this->head() + [
            'whole' => true,
            'order' => SceneCompiler::order($placing),
            'layers' => array_map(strval(...), array_keys($placing->placed)),
            'elsewhere' => $this->elsewhere(),
            'bench' => BenchView::of($this->at, $this->ground, $this->safe(), $this->starters()),
            'ratio' => Ratio::of($this->at->canvas())->toArray(),
            'panels' => (object) array_map(
                static fn (Rect $panel) => $panel->toArray(),
                $this->ground->panels ?? [],
            ),
            'ranks' => $this->ground->ranks ?? ['columns' => [], 'rows' => []],
            'safe' => $this->safe()?->toArray(),
            'seams' => array_map(static fn (Rect $seam) => $seam->toArray(), $this->ground->seams ?? []),
            'scenes' => (object) array_map(fn (Scene $scene) => $this->scene($scene), $this->design->scenes),
            'findings' => $this->findings(),
            'shelf' => $this->shelf === null
                ? null
                : ['document' => $this->shelf->id, 'revision' => $this->shelf->revision],
            'things' => $this->things,
            'area' => $this->sheet->areaName($this->loaded->area) ?? $this->loaded->area,
            'seen' => array_map(fn (int $mm) => [
                'mm' => $mm,
                'scale_ppm' => Legibility::seenPpm($this->sheet->surface->pitchXUm, $mm),
            ], array_values(array_unique($this->sheet->viewingMm()))),
            'um' => $this->at->turned
                ? [$this->design->heightUm, $this->design->widthUm]
                : [$this->design->widthUm, $this->design->heightUm],
        ] +
            $this->zones(SceneCompiler::zones($this->at, $placing, $this->context, null));
    }

    /**
     * @return array<string, mixed> only what is different from another state of the design; null where it is as it was
     */
    public function since(Design $seen, LayoutAt $seenAt): array
    {
        $sameLayout =
            $seenAt->layout === $this->at->layout || $seenAt->layout->toArray() === $this->at->layout->toArray();
        $after = $this->placing();
        $before = $sameLayout && $this->isSizedAs($seen) ? $after : $this->placingOf($seenAt);
        $changed = SceneCompiler::changed($seenAt, $before, $this->at, $after);
        if (PlanCompiler::round($seen, $this->context)->toArray() !== $this->round()->toArray()) {
            // How often an entry of theirs is seen is another.
            $changed = array_values(array_unique([...$changed, ...$this->lists($after)]));
        }
        $scenes = array_filter(
            $this->design->scenes,
            fn (Scene $scene) => ($seen->scenes[$scene->id] ?? null) !== $scene || $this->shows($scene, $seen),
        );
        $changes = array_map(fn (Scene $scene) => $this->changedIn($scene, $seen), $scenes);
        $sameLines = $seen->guides === $this->design->guides && $seen->lattice === $this->design->lattice;

        return $this->head() + [
            'order' => $sameLayout ? null : SceneCompiler::order($after),
            'layers' => $sameLayout ? null : array_map(strval(...), array_keys($after->placed)),
            'elsewhere' => $sameLayout ? null : $this->elsewhere(),
            'bench' => $sameLayout && $sameLines
                ? null
                : BenchView::of($this->at, $this->ground, $this->safe(), $this->starters()),
            'scenes' => (object) array_map(
                fn (Scene $scene) => $this->scene($scene, $changes[$scene->id]),
                $scenes,
            ),
            'findings' => $this->findingsOf($scenes, $changes),
        ] +
            $this->zones(SceneCompiler::zones($this->at, $after, $this->context, $changed));
    }

    /** What lies under a design's canvas; null when the surface has become another since, or for the other layout. */
    public static function under(SurfaceSheet $sheet, ?string $area, LayoutAt $at): ?Ground
    {
        $place = $area === null ? $sheet->surface->canvas->rect() : $sheet->areas[$area] ?? null;

        return $place !== null && $place->size()->toArray() === $at->canvas()->toArray()
            ? Ground::of($sheet->surface)->within($place)
            : null;
    }

    private function isSizedAs(Design $seen): bool
    {
        return [$seen->canvas->toArray(), $seen->widthUm, $seen->heightUm]
            === [$this->design->canvas->toArray(), $this->design->widthUm, $this->design->heightUm];
    }

    private function round(): RoundPlan
    {
        return PlanCompiler::round($this->design, $this->context);
    }

    /** @return list<string> zones that show a list */
    private function lists(Placing $placing): array
    {
        return array_values(array_filter(
            array_map(strval(...), array_keys($placing->placed)),
            fn (string $id) => $this->design->zone($id)->fill()->kind() === FillKind::Playlist,
        ));
    }

    /** Whether it shows a zone that is another now. */
    private function shows(Scene $scene, Design $seen): bool
    {
        foreach ($scene->zones() as $id) {
            if (
                ($seen->zones[$id] ?? null) !== $this->design->zones[$id]
                && !($seen->zones[$id] ?? null)?->equals($this->design->zone($id))
            ) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, mixed> */
    private function head(): array
    {
        return [
            'design' => $this->loaded->id,
            'name' => $this->design->name,
            'revision' => $this->loaded->revision,
            'canvas' => $this->at->canvas()->toArray(),
            'scene' => $this->at->scene->id,
            'layout' => $this->at->name(),
            'layouts' => [
                'own' => $this->design->canvas->toArray(),
                'turned' => $this->at->scene->turned === null ? null : $this->design->canvas->turned(90)->toArray(),
            ],
            'reflow' => $this->design->reflow->value,
            'surfaces' => $this->design->surfaces,
            'archived' => $this->design->archived,
            'list' => $this->design->isList,
            'style' => $this->design->style,
            'still' => $this->design->still,
            'frieze' => $this->design->order,
            'round' => $this->round()->toArray(),
            'dates' => $this->context->dates([]),
        ];
    }

    /**
     * @param ?list<string> $changed zones; null: its layout too
     *
     * @return array<string, mixed> a scene's line in the frieze
     */
    private function scene(Scene $scene, ?array $changed = null): array
    {
        $placing = $this->placingOf(LayoutAt::of($this->design, $scene->id, false));
        $time = new ContentTime($this->context->media);
        $ms = $time->ofScene($this->design, $scene);
        $lanes = $time->lanes($this->design, $scene);

        return [
            'name' => $scene->name,
            'ms' => $ms,
            'lanes' => count($lanes),
            'meets_ms' => Cycles::periodMs(
                array_values(array_map(static fn (array $lane) => array_sum(array_column($lane, 'ms')), $lanes)),
            ),
            'cut' => $ms === null ? [] : self::cut($lanes, $ms),
            'length' => $scene->length->toArray(),
            'transition' => $scene->transition->toArray(),
            'ground' => (new ItemCompiler($this->context))->compile($scene->ground, $this->design->canvas)->drawing,
            'mark' => MarkPlan::on($this->at->canvas(), $this->context)?->toArray(),
            'ground_fill' => $scene->ground->toArray(),
            'turned' => $scene->turned !== null,
            'zones' => count($scene->zones()),
            'sketch' => (object) SceneSketch::of($this->design, $placing, $changed),
            'sketch_order' => $changed === null ? array_map(strval(...), array_keys($placing->seen()->placed)) : null,
        ];
    }

    /**
     * @param array<string, list<array{place: ?int, ms: int}>> $lanes
     *
     * @return list<array{zone: string, entry: int, entry_left_ms: int, cycle_left_ms: int}> places of entries
     */
    private static function cut(array $lanes, int $endMs): array
    {
        $cut = [];
        $lengths = array_map(static fn (array $lane) => array_column($lane, 'ms'), $lanes);
        foreach (Cycles::cutAt($lengths, $endMs) as $one) {
            $place = $lanes[$one['zone']][$one['entry']]['place'];
            $cut = $place === null ? $cut : [...$cut, ['entry' => $place] + $one];
        }

        return $cut;
    }

    /** @return array<string, OwnStarter> */
    private function starters(): array
    {
        $shelf = $this->shelf?->document;

        return $shelf instanceof OwnStarters ? $shelf->starters : [];
    }

    /** @return list<array{id: string, letter: string, name: string, kind: string}> zones of other scenes alone */
    private function elsewhere(): array
    {
        $lines = [];
        foreach ($this->design->zones as $id => $zone) {
            if (!$this->at->scene->holds((string) $id)) {
                $lines[] = [
                    'id' => (string) $id,
                    'letter' => $zone->letter(),
                    'name' => $zone->name(),
                    'kind' => $zone->fill()->kind()->value,
                ];
            }
        }

        return $lines;
    }

    /** @return array{general: list<array<string, mixed>>, scenes: object} everything, once */
    private function findings(): array
    {
        return self::written(
            [...Judgement::ofSurface($this->sheet, $this->loaded->area), ...PlanCompiler::ofRound($this->design)],
            array_map(fn (Scene $scene) => [$this->compiled($scene), null], $this->design->scenes),
        );
    }

    /**
     * Of scenes and zones that changed: the others' stand as they were said.
     *
     * @param array<string, Scene>         $scenes
     * @param array<string, ?list<string>> $changes {@see self::changedIn}
     *
     * @return array{general: list<array<string, mixed>>, scenes: object}
     */
    private function findingsOf(array $scenes, array $changes): array
    {
        return self::written(
            [...Judgement::ofSurface($this->sheet, $this->loaded->area), ...PlanCompiler::ofRound($this->design)],
            array_map(function (Scene $scene) use ($changes): array {
                $changed = $changes[$scene->id];
                if ($changed === null) {
                    return [$this->compiled($scene), null];
                }
                // Panes do not lie over each other.
                if ($scene->own->floats === []) {
                    return [$this->compiled($scene, $changed), $changed];
                }
                $placing = $this->placingOf(LayoutAt::of($this->design, $scene->id, false));
                $judged = SceneCompiler::overlapping($placing, $changed);

                return [$this->compiled($scene, SceneCompiler::overlapping($placing, $judged)), $judged];
            }, $scenes),
        );
    }

    /** @return ?list<string> zones that are others now; null when its layout is */
    private function changedIn(Scene $scene, Design $seen): ?array
    {
        $before = $seen->scenes[$scene->id] ?? null;

        return $before === null || $before->own !== $scene->own || $before->turned !== $scene->turned
            || $before->length !== $scene->length
            ? null
            : SceneCompiler::withFollowers($this->design, $scene->zones(), array_values(
                array_filter(
                    $scene->zones(),
                    fn (string $id) => !($seen->zones[$id] ?? null)?->equals($this->design->zone($id)),
                ),
            ));
    }

    /** @param ?list<string> $only zones whose plans are wanted */
    private function compiled(Scene $scene, ?array $only = null): ScenePlan
    {
        $at = LayoutAt::of($this->design, $scene->id, false);
        $place =
            $this->loaded->area === null
                ? $this->sheet->surface->canvas->rect()
                : $this->sheet->areas[$this->loaded->area] ?? $this->sheet->surface->canvas->rect();
        $compiler = new SceneCompiler(
            $this->design,
            new Sizing($place->size(), $this->sheet->surface->pitchXUm, $this->sheet->surface->pitchYUm),
            $this->context->on(Ground::of($this->sheet->surface)->within($place)),
            $place,
        );

        return $compiler->compile($scene, $only);
    }

    /**
     * @param list<Finding>                                 $general
     * @param array<string, array{ScenePlan, ?list<string>}> $scenes plans, and the zones that are judged; null for all
     *
     * @return array{general: list<array<string, mixed>>, scenes: object}
     */
    private static function written(array $general, array $scenes): array
    {
        $write = static fn (Finding $finding) => $finding->toArray();
        $preflight = Preflight::standard();

        return [
            'general' => array_map($write, $general),
            'scenes' => (object) array_map(static function (array $judged) use ($preflight, $write): array {
                [$plan, $only] = $judged;
                $zones = [];
                foreach ($plan->zones as $zone) {
                    if ($only === null || in_array($zone->zone->id, $only, true)) {
                        $zones[$zone->zone->id] = array_map($write, $preflight->zones([$zone]));
                    }
                }
                foreach ($preflight->overlaps($plan) as $finding) {
                    $of = is_string($finding->params['zone'] ?? null) ? $finding->params['zone'] : '';
                    if (isset($zones[$of])) {
                        $zones[$of][] = $finding->toArray();
                    }
                }

                return [
                    'layout' => array_map($write, $preflight->scene($plan)),
                    'zones' => (object) $zones,
                    'all' => $only === null,
                ];
            }, $scenes),
        ];
    }

    /**
     * @return array{hours?: array<string, mixed>} of a list that has hours: what is on together when
     */
    private function hours(ZonePlan $plan): array
    {
        $timed = array_filter($plan->items, static fn (Item $item) => $item->when !== null) !== [];
        if ((!$timed && $plan->order === Order::Listed) || $plan->cycleMs() === null) {
            return [];
        }
        $zone = $plan->toArray();
        $lists = $this->context->dates(['plan' => Plan::VERSION, 'scenes' => ['' => ['zones' => [$zone]]]])['lists'];

        return ['hours' => $lists[$plan->zone->id]];
    }

    /** @return array{contents?: array<string, int>} how long the content of its entries is, where that has a length */
    private function contents(Zone $zone): array
    {
        $fill = $zone->fill();
        $time = new ContentTime($this->context->media);
        $contents = [];
        foreach ($fill instanceof PlaylistFill ? $fill->entries : [] as $entry) {
            $ms = $time->ofFill($entry->fill);
            $contents += $ms === null ? [] : [$entry->id => $ms];
        }

        return $contents === [] ? [] : ['contents' => $contents];
    }

    /** @return array{whens?: object} of each entry that has days and hours: how they are said, and the next times */
    private function whens(Zone $zone): array
    {
        $fill = $zone->fill();
        $time = new ZoneTime($this->context->zone);
        $whens = [];
        foreach ($fill instanceof PlaylistFill ? $fill->entries : [] as $entry) {
            if ($entry->when !== null) {
                $whens[$entry->id] = [
                    'words' => SaidWhen::of($entry->when, $time),
                    'next' => Upcoming::of($entry->when->windows(), intdiv($this->context->fromMs, 1000), $time),
                ];
            }
        }

        return $whens === [] ? [] : ['whens' => (object) $whens];
    }

    /**
     * @param list<ZonePlan> $plans
     *
     * @return array{zones: object, documents: object} by zone id
     */
    private function zones(array $plans): array
    {
        $zones = $documents = [];
        $round = $this->round();
        $isInRound = in_array($this->at->scene->id, array_column($round->scenes, 'scene'), true);
        $againMs = $isInRound ? $round->cycleMs() : null;
        $endMs = (new ContentTime($this->context->media))->ofScene($this->design, $this->at->scene);
        foreach ($plans as $plan) {
            $zones[$plan->zone->id] = $plan->toArray();
            $list = ListView::of($plan, $endMs, $againMs) + $this->contents($plan->zone) + $this->whens($plan->zone);
            $documents[$plan->zone->id] = $plan->zone->toArray() + $this->hours($plan) + $list + [
                'least_sizes' => (object) $plan->leastSizesPx(),
                'scenes' => array_values(
                    array_map(
                        strval(...),
                        array_keys(
                            array_filter(
                                $this->design->scenes,
                                static fn (Scene $scene) => $scene->holds($plan->zone->id),
                            ),
                        ),
                    ),
                ),
            ];
        }

        return ['zones' => (object) $zones, 'documents' => (object) $documents];
    }

    private function placing(): Placing
    {
        return $this->placingOf($this->at);
    }

    private function placingOf(LayoutAt $at): Placing
    {
        return $at->placing($this->ground->panels ?? []);
    }

    /** What lies inside the surface's safe area; null when none is set, or the canvas is not the surface's. */
    private function safe(): ?Rect
    {
        $safe = $this->sheet->safe();
        $canvas = $this->sheet->surface->canvas;

        return $this->loaded->area !== null
            || $canvas->toArray() !== $this->at->canvas()->toArray()
            || $safe->equals($canvas->rect())
            ? null
            : $safe;
    }
}
