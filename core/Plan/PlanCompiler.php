<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Scene;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\ReadingOrder;
use UpperPane\Core\Layout\Reflow;
use UpperPane\Core\Surface\Surface;

/** Document + surface + context → plan. On a surface of another size the layout is reflowed. */
final class PlanCompiler
{
    public static function compile(Design $design, Surface $surface, PlanContext $context): Plan
    {
        $scene = $design->restScene();
        $context = $context->on($surface);
        if ($surface->canvas->toArray() === $design->canvas->toArray()) {
            $glazing = $design->sizing()->resolve($scene->tree);

            return new Plan($surface, $scene->id, self::zones($scene, $glazing, $context, null), [], $context);
        }
        $reflow = Reflow::to($scene->tree, $design->canvas, $surface->canvas, $surface->pitchXUm, $surface->pitchYUm);
        $scaled = $context->scaledBy($reflow->scale);

        return new Plan($surface, $scene->id, self::zones($scene, $reflow->glazing, $scaled, null), $reflow->findings, $scaled);
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
        foreach ($after->zones as $id => $zone) {
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
