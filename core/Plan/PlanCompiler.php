<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\LengthKind;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Sizing;
use UpperPane\Core\Surface\Ground;
use UpperPane\Core\Surface\Surface;

/** Document + surface + context → plan. */
final class PlanCompiler
{
    /**
     * @param ?Rect         $area   the part of the surface it is for; null for the whole
     * @param ?list<string> $scenes those that are wanted; null for all
     */
    public static function compile(
        Design $design,
        Surface $surface,
        PlanContext $context,
        ?Rect $area = null,
        ?array $scenes = null,
    ): Plan {
        $place = $area ?? $surface->canvas->rect();
        $sizing = new Sizing($surface->canvas, $surface->pitchXUm, $surface->pitchYUm);
        $compiler = new SceneCompiler($design, $sizing, $context->on(Ground::of($surface)->within($place)), $place);
        $plans = [];
        foreach ($scenes ?? $design->order as $id) {
            $plans[$id] = $compiler->compile($design->scene($id));
        }

        return new Plan($surface, $plans, self::round($design, $context), self::ofRound($design), $context);
    }

    public static function round(Design $design, PlanContext $context): RoundPlan
    {
        $time = new ContentTime($context->media);
        $scenes = array_map(
            static fn (string $id) => ['scene' => $id, 'ms' => $time->ofScene($design, $design->scene($id))],
            $design->round,
        );

        return RoundPlan::of($scenes === [] ? throw new \LogicException('A round has a scene.') : $scenes);
    }

    /**
     * @return list<Finding> scenes of the round that never end although others should follow; leaders that lead nothing
     */
    public static function ofRound(Design $design): array
    {
        $findings = [];
        foreach ($design->round as $id) {
            $scene = $design->scene($id);
            if ($scene->length->kind === LengthKind::Open && count($design->round) > 1) {
                $findings[] = Finding::of('round.never_ends', Severity::Stop, "/scenes/$id/length", [
                    'scene' => $scene->name,
                ]);
            }
        }
        foreach ($design->scenes as $id => $scene) {
            if ($scene->length->kind === LengthKind::Leader && !$scene->holds($scene->length->leader)) {
                $findings[] = Finding::of('scene.leader_gone', Severity::Stop, "/scenes/$id/length/zone", [
                    'scene' => $scene->name,
                ]);
            }
        }

        return $findings;
    }
}
