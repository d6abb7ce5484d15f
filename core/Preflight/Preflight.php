<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Plan\Paint\PaintedScene;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\Fill\FillRules;

/**
 * All rules over a plan. A *stop* among the findings blocks a release. A rule is one file and one line, here or where
 * its kind of fill names it.
 */
final readonly class Preflight
{
    /**
     * @param list<Rule> $rules on single zones: they belong to the first tier and are asked again for every zone that
     *     changed
     * @param list<SceneRule> $scenes   on a scene, however many of its zones were compiled
     * @param list<PaintRule> $overlaps on each zone and those that lie over or under it
     */
    private function __construct(private array $rules, private array $scenes, private array $overlaps)
    {
    }

    public static function standard(): self
    {
        return new self(
            [
                new Rule\EmptyPane(),
                ...FillRules::all(),
                new Rule\FadeTooLong(),
                new Rule\NoLeader(),
                new Rule\NotReached(),
                new Rule\OnSeam(),
                new Rule\TooSmallToRead(),
                new Rule\StyleNotTaken(),
            ],
            [new Rule\SoundsTogether()],
            [new Rule\Hidden(), new Rule\Contrast(), ...FillRules::painted()],
        );
    }

    /** With more rules on zones. */
    public function with(Rule ...$rules): self
    {
        return new self([...$this->rules, ...array_values($rules)], $this->scenes, $this->overlaps);
    }

    /**
     * @param list<ZonePlan> $zones
     *
     * @return list<Finding> in the order of the zones
     */
    public function zones(array $zones): array
    {
        $findings = [];
        foreach ($zones as $zone) {
            foreach ($this->rules as $rule) {
                $findings = [...$findings, ...$rule->check($zone)];
            }
        }

        return $findings;
    }

    /**
     * @return list<Finding> of a scene as a whole: what was found when it was placed, and what its zones do together
     */
    public function scene(ScenePlan $scene): array
    {
        return [
            ...$scene->findings,
            ...array_merge([], ...array_map(static fn (SceneRule $rule) => $rule->check($scene), $this->scenes)),
        ];
    }

    /** @return list<Finding> how its zones lie to each other; each names the zone that it belongs to */
    public function overlaps(ScenePlan $scene): array
    {
        $painted = PaintedScene::of($scene);

        return array_merge([], ...array_map(static fn (PaintRule $rule) => $rule->check($painted), $this->overlaps));
    }

    /** @return list<Finding> of the whole plan: its round, its scenes' layouts, and every zone */
    public function plan(Plan $plan): array
    {
        $findings = $plan->findings;
        foreach ($plan->scenes as $scene) {
            $findings = [
                ...$findings,
                ...$this->scene($scene),
                ...$this->overlaps($scene),
                ...$this->zones($scene->zones),
            ];
        }

        return self::each($findings);
    }

    /**
     * Gravest first, otherwise in their order; what two scenes say of one zone alike is said once.
     *
     * @param list<Finding> $findings
     *
     * @return list<Finding>
     */
    public static function each(array $findings): array
    {
        $each = [];
        foreach ($findings as $finding) {
            $each[$finding->code.' '.$finding->path.' '.json_encode($finding->params)] ??= $finding;
        }
        $each = array_values($each);
        usort($each, static fn (Finding $a, Finding $b) => $a->severity->rank() <=> $b->severity->rank());

        return $each;
    }

    /** @param list<Finding> $findings */
    public static function blocks(array $findings): bool
    {
        return array_filter($findings, static fn (Finding $finding) => $finding->severity === Severity::Stop) !== [];
    }
}
