<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Scene;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Document\Zone;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\ReadingOrder;
use UpperPane\Core\Layout\Reflow;
use UpperPane\Core\Layout\Sizing;
use UpperPane\Core\Surface\Ground;
use UpperPane\Core\Surface\Surface;

/** Document + surface + context → plan. On a surface of another size the layout that suits its orientation is reflowed. */
final class PlanCompiler
{
    /** @param ?Rect $area the part of the surface it is for; null for the whole */
    public static function compile(Design $design, Surface $surface, PlanContext $context, ?Rect $area = null): Plan
    {
        $place = $area ?? $surface->canvas->rect();
        $layout = SceneLayout::suiting($design, $design->restScene(), $place->size());
        $context = $context->on(Ground::of($surface)->within($place));
        $findings = self::missing($layout);
        if ($place->size()->toArray() === $layout->canvas()->toArray()) {
            $glazing = $layout->resolved();
        } else {
            $reflow = Reflow::to($layout->tree, $layout->sizing(), new Sizing($place->size(), $surface->pitchXUm, $surface->pitchYUm), $design->reflow);
            [$glazing, $findings, $context] = [$reflow->glazing, [...$findings, ...$reflow->findings], $context->scaledBy($reflow->scale)];
        }
        $zones = array_map(static fn (ZonePlan $zone) => $zone->movedBy($place->x, $place->y), self::zones($layout->scene, $glazing, $context, null));

        return new Plan($surface, $layout->scene->id, $zones, $findings, $context);
    }

    /** @return list<Finding> zones that stand in the scene's other layout only */
    public static function missing(SceneLayout $layout): array
    {
        return array_map(static fn (Zone $zone) => Finding::of('layout.zone_missing', Severity::Caution, "/scenes/{$layout->scene->id}/zones/{$zone->id}", [
            'zone' => $zone->id, 'letter' => $zone->letter, 'orientation' => $layout->canvas()->isPortrait() ? 'portrait' : 'landscape',
        ]), $layout->missing());
    }

    /**
     * The zones' plans in reading order; or those of `$only`, so that an edit recompiles what changed and nothing else.
     *
     * @param ?list<string> $only
     *
     * @return list<ZonePlan>
     */
    public static function zones(Scene $scene, Glazing $glazing, PlanContext $context, ?array $only): array
    {
        $compiler = new ZoneCompiler($context);
        $plans = [];
        foreach ($only ?? ReadingOrder::of($glazing->panes) as $id) {
            $plans[] = $compiler->compile($scene->id, $scene->zone($id), $glazing->panes[$id]);
        }

        return $plans;
    }

    /**
     * The zones that must be compiled again after an edit: those whose rectangle or fill or name is another.
     *
     * @return list<string>
     */
    public static function changed(Scene $before, Glazing $glazingBefore, Scene $after, Glazing $glazingAfter): array
    {
        $changed = [];
        foreach (array_intersect_key($after->zones, $glazingAfter->panes) as $id => $zone) {
            $old = $before->zones[$id] ?? null;
            $sameRect = isset($glazingBefore->panes[$id]) && self::same($glazingBefore->panes[$id], $glazingAfter->panes[$id]);
            if ($old === null || !$sameRect || ($old !== $zone && $old->toArray() !== $zone->toArray())) {
                $changed[] = (string) $id;
            }
        }

        return $changed;
    }

    private static function same(Rect $a, Rect $b): bool
    {
        return $a->toArray() === $b->toArray();
    }
}
