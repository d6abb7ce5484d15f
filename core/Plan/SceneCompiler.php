<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Fill\Transition;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Design\Scene;
use UpperPane\Core\Design\Zone;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Placed;
use UpperPane\Core\Layout\Placing;
use UpperPane\Core\Layout\ReadingOrder;
use UpperPane\Core\Layout\Reflow;
use UpperPane\Core\Layout\Sizing;

/**
 * One scene of a design on a place of a surface → its plan. The layout that suits the place's orientation is taken, and
 * reflowed where it must be.
 */
final readonly class SceneCompiler
{
    /** @param Rect $place the part of the surface's canvas that it covers */
    public function __construct(
        private Design $design,
        private Sizing $surface,
        private PlanContext $context,
        private Rect $place,
    ) {
    }

    /** @param ?list<string> $only zones whose plans are wanted; null for all */
    public function compile(Scene $scene, ?array $only = null): ScenePlan
    {
        $at = LayoutAt::suiting($this->design, $scene, $this->place->size());
        [$placing, $context, $findings] = $this->placed($at);
        $placing = $placing->seen();
        $items = new ItemCompiler($context);
        $zones = self::zones($at, $placing, $context, $only);

        return new ScenePlan(
            $context->still ? $scene->with(['transition' => Transition::cut()]) : $scene,
            (new ContentTime($context->media))->ofScene($this->design, $scene),
            $this->place,
            $items->compile($scene->ground, $this->place->size()),
            array_map(fn (ZonePlan $zone) => $zone->movedBy($this->place->x, $this->place->y), $zones),
            [...self::missing($at), ...$findings, ...self::ofPlacing($at->design, $placing)],
            array_values(
                array_filter(
                    array_map(fn (Placed $one) => $this->design->zone($one->zone), $placing->placed),
                    static fn (Zone $zone) => $zone->isHeard(),
                ),
            ),
            MarkPlan::on($this->place->size(), $context)?->movedBy($this->place->x, $this->place->y),
        );
    }

    /**
     * Plans back to front; or of `$only` these zones, so that an edit compiles what changed and nothing else.
     *
     * @param ?list<string> $only
     *
     * @return list<ZonePlan>
     */
    public static function zones(LayoutAt $at, Placing $placing, PlanContext $context, ?array $only): array
    {
        $compiler = new ZoneCompiler($context);
        $placed = $only === null ? $placing->placed : array_intersect_key($placing->placed, array_flip($only));
        $there = array_map(strval(...), array_keys($placing->placed));
        $time = new ContentTime($context->media);

        return array_values(
            array_map(
                static fn (Placed $one) => $compiler->compile(
                    $at->scene->id,
                    $at->design->zone($one->zone),
                    $one,
                    InStep::of($at->design, $one->zone, $there, $time)
                        ?->until($time->ofScene($at->design, $at->scene)),
                ),
                $placed,
            ),
        );
    }

    /**
     * These zones, and all that lie over or under one of them.
     *
     * @param list<string> $zones
     *
     * @return list<string>
     */
    public static function overlapping(Placing $placing, array $zones): array
    {
        $boxes = array_map(static fn (Placed $one) => $one->box(), $placing->placed);
        $these = array_intersect_key($boxes, array_flip($zones));
        $all = array_filter(
            $boxes,
            static fn (Rect $box) => array_filter($these, static fn (Rect $one) => $one->common($box) !== null) !== [],
        );

        return array_map(strval(...), array_keys($these + $all));
    }

    /** @return list<string> zone ids in reading order, floats after what they lie over */
    public static function order(Placing $placing): array
    {
        return ReadingOrder::of(array_map(static fn (Placed $one) => $one->box(), $placing->placed));
    }

    /**
     * The zones that must be compiled again after an edit: those that lie elsewhere, show something else, or are called
     * otherwise.
     *
     * @return list<string>
     */
    public static function changed(
        LayoutAt $before,
        Placing $placedBefore,
        LayoutAt $after,
        Placing $placedAfter,
    ): array {
        $changed = [];
        foreach ($placedAfter->placed as $id => $placed) {
            $old = $placedBefore->placed[$id] ?? null;
            $oldZone = $before->design->zones[$id] ?? null;
            if (
                $old === null
                || !$old->equals($placed)
                || $oldZone === null
                || !$oldZone->equals($after->design->zone((string) $id))
            ) {
                $changed[] = (string) $id;
            }
        }

        return self::withFollowers($after->design, array_map(strval(...), array_keys($placedAfter->placed)), $changed);
    }

    /**
     * What follows one that changed is another too.
     *
     * @param list<string> $zones   of a scene
     * @param list<string> $changed
     *
     * @return list<string>
     */
    public static function withFollowers(Design $design, array $zones, array $changed): array
    {
        $all = $changed;
        foreach ($changed === [] ? [] : $zones as $zone) {
            if (!in_array($zone, $changed, true) && in_array(InStep::leader($design, $zone), $changed, true)) {
                $all[] = $zone;
            }
        }

        return $all;
    }

    /** @return list<Finding> zones that stand in the scene's other layout only */
    public static function missing(LayoutAt $at): array
    {
        return array_map(
            static fn (Zone $zone) => Finding::of('layout.zone_missing', Severity::Caution, "/zones/{$zone->id}", [
                'zone' => $zone->id,
                'letter' => $zone->letter(),
                'orientation' => $at->canvas()->isPortrait() ? 'portrait' : 'landscape',
                'scene' => $at->scene->id,
            ]),
            $at->missing(),
        );
    }

    /** @return list<Finding> of floats, with the letter of each */
    public static function ofPlacing(Design $design, Placing $placing): array
    {
        return array_map(static function (Finding $finding) use ($design): Finding {
            $zone = is_string($finding->params['zone'] ?? null) ? $finding->params['zone'] : '';

            return Finding::of(
                $finding->code,
                $finding->severity,
                "/zones/$zone",
                $finding->params + ['letter' => $design->zone($zone)->letter()],
            );
        }, $placing->findings);
    }

    /** @return array{Placing, PlanContext, list<Finding>} */
    private function placed(LayoutAt $at): array
    {
        $panels = $this->context->ground->panels ?? [];
        if ($this->place->size()->toArray() === $at->canvas()->toArray()) {
            return [$at->placing($panels), $this->context, []];
        }
        $there = new Sizing($this->place->size(), $this->surface->pitchUm(Axis::X), $this->surface->pitchUm(Axis::Y));
        $path = "/scenes/{$at->scene->id}/layouts/{$at->name()}/glazing";
        $reflowed = Reflow::to($at->tree(), $at->sizing(), $there, $this->design->reflow, $path);
        $findings = array_map($this->lettered(...), $reflowed->findings);

        return [
            Placing::of($reflowed->glazing, $at->layout->floats, $this->place->size(), $panels, $reflowed->scale),
            $this->context->scaledBy($reflowed->scale),
            $findings,
        ];
    }

    /** Reflow names panes by id; people know them by letter. */
    private function lettered(Finding $finding): Finding
    {
        $panes = $finding->params['panes'] ?? [];
        $letters = array_map(fn (string $id) => $this->design->zone($id)->letter(), is_array($panes) ? $panes : []);

        return Finding::of(
            $finding->code,
            $finding->severity,
            $finding->path,
            ['panes' => $letters] + $finding->params,
        );
    }
}
