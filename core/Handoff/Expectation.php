<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

use UpperPane\Core\Act\Acts;
use UpperPane\Core\Act\Target;
use UpperPane\Core\Plan\PlanRef;
use UpperPane\Core\Plan\Programme;

/**
 * What a programme says should be shown, to hold a proof against. A report taken within a second of a change may name
 * either side of it.
 */
final readonly class Expectation
{
    private const TOLERANCE_MS = 1000;

    /** From a press to the screen: so long both are believed. */
    private const ARRIVES_MS = 5000;

    /**
     * @param \Closure(PlanRef): ReleasedPlan $plans as they were sealed
     * @param list<string>                    $names what acts may aim at to mean the player, {@see Target::namesOf}
     */
    public function __construct(
        private Programme $programme,
        private \Closure $plans,
        private ?Acts $acts = null,
        private array $names = [],
    ) {
    }

    /**
     * @return list<string> letters of the zones that show something else, or are not there; empty when all is as it
     *     should be
     */
    public function differences(Proof $proof): array
    {
        /** @var array<string, list<array<string, array{letter: string, entry: ?string}>>> $shown by plan and scene */
        $shown = [];
        $said = [];
        foreach ([0, -self::TOLERANCE_MS, self::TOLERANCE_MS] as $slip) {
            $atMs = $proof->atMs + $slip;
            $held = $proof->act === null ? $this->programme->at($atMs) : null;
            $ref = $held->plan ?? $this->programme->idle;
            if ($ref === null) {
                continue;
            }
            $plan = ($this->plans)($ref);
            $startMs = $held->startMs ?? 0;
            $scene = $plan->sceneAt($atMs, $startMs);
            $shown["$ref->sha256 $scene"][] = $plan->at($atMs, $startMs);
            $said["$ref->sha256 $scene"] =
                ($proof->plan ?? $ref->sha256) === $ref->sha256 && ($proof->scene ?? $scene) === $scene;
        }
        if ($shown === []) {
            return [];
        }
        $best = array_column(reset($shown)[0], 'letter');
        foreach (array_intersect_key($shown, array_filter($said)) as $moments) {
            $letters = self::unlike($proof, $moments);
            $best = count($letters) <= count($best) ? $letters : $best;
        }

        return $best;
    }

    /** Whether it speaks of this programme; pages of the version before name the release alone. */
    public function isMeantBy(Proof $proof): bool
    {
        if ($proof->programme !== null) {
            return $proof->programme === $this->programme->sha256();
        }
        $held = $this->programme->at($proof->atMs) ?? $this->programme->intervals[0] ?? null;

        return $proof->release === $held?->plan->release;
    }

    public function proves(Proof $proof): bool
    {
        return $this->isMeantBy($proof)
            && $this->names($proof)
            && $this->isActedBy($proof)
            && $this->differences($proof) === [];
    }

    /** Whether it follows the act that takes its surface, if one does; none that ended, and none that is not there. */
    private function isActedBy(Proof $proof): bool
    {
        if ($this->acts === null) {
            return $proof->act === null;
        }
        $meant = $this->acts->takeover($this->names, $proof->atMs);
        $before = $this->acts->takeover($this->names, $proof->atMs - self::ARRIVES_MS);
        if ($proof->act === null) {
            return $meant === null || $before === null;
        }

        return $proof->act === $meant?->id || $proof->act === $before?->id;
    }

    /** Whether the plan that it names holds within a second of its instant; a page of the version before names none. */
    private function names(Proof $proof): bool
    {
        foreach ([0, -self::TOLERANCE_MS, self::TOLERANCE_MS] as $slip) {
            $held = $proof->act === null ? $this->programme->at($proof->atMs + $slip) : null;
            $ref = $held->plan ?? $this->programme->idle;
            if ($proof->plan === null || $proof->plan === $ref?->sha256) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<array<string, array{letter: string, entry: ?string}>> $moments what one scene shows at instants
     *
     * @return list<string> letters of the zones that show nothing of it
     */
    private static function unlike(Proof $proof, array $moments): array
    {
        $letters = [];
        foreach ($moments[0] ?? [] as $zone => ['letter' => $letter]) {
            $entries = array_column(array_column($moments, $zone), 'entry');
            if (!array_key_exists($zone, $proof->zones) || !in_array($proof->zones[$zone], $entries, true)) {
                $letters[] = $letter;
            }
        }

        return $letters;
    }
}
