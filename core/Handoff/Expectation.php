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
        /** @var array<string, list<array<string, array{letter: string, entry: ?string}>>> $shown by scene */
        $shown = [];
        foreach ([0, -self::TOLERANCE_MS, self::TOLERANCE_MS] as $slip) {
            $atMs = $proof->atMs + $slip;
            $shown[$this->plan->sceneAt($atMs, $this->startMs)][] = $this->plan->at($atMs, $this->startMs);
        }
        $best = array_column(reset($shown)[0], 'letter');
        foreach ($proof->scene === null ? $shown : array_intersect_key($shown, [$proof->scene => 0]) as $moments) {
            $letters = self::unlike($proof, $moments);
            $best = count($letters) <= count($best) ? $letters : $best;
        }

        return $best;
    }

    public function proves(Proof $proof): bool
    {
        return $proof->release === $this->release && $this->differences($proof) === [];
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
