<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

/**
 * What a released plan says should be shown, to hold a proof against. A report taken within a second of a change may
 * name either side of it.
 */
final readonly class Expectation
{
    private const TOLERANCE_MS = 1000;

    public function __construct(private int $release, private ReleasedPlan $plan, private int $startMs)
    {
    }

    /**
     * @return list<string> letters of the zones that show something else, or are not there; empty when all is as it
     *     should be
     */
    public function differences(Proof $proof): array
    {
        $best = $this->inScene($proof, $proof->atMs);
        foreach ([-self::TOLERANCE_MS, self::TOLERANCE_MS] as $slip) {
            $scene = $this->plan->sceneAt($proof->atMs + $slip, $this->startMs);
            if ($proof->scene === null || $proof->scene === $scene) {
                $letters = $this->inScene($proof, $proof->atMs + $slip);
                $best = count($letters) < count($best) ? $letters : $best;
            }
        }

        return $best;
    }

    public function proves(Proof $proof): bool
    {
        return $proof->release === $this->release && $this->differences($proof) === [];
    }

    /** @return list<string> */
    private function inScene(Proof $proof, int $atMs): array
    {
        $allowed = array_map(fn (int $slip) => $this->plan->at($atMs + $slip, $this->startMs), [
            -self::TOLERANCE_MS,
            0,
            self::TOLERANCE_MS,
        ]);
        $letters = [];
        foreach ($allowed[1] as $zone => ['letter' => $letter]) {
            $entries = array_map(static fn (array $shown) => $shown[$zone]['entry'] ?? null, $allowed);
            if (!array_key_exists($zone, $proof->zones) || !in_array($proof->zones[$zone], $entries, true)) {
                $letters[] = $letter;
            }
        }

        return $letters;
    }
}
