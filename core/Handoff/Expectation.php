<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

use UpperPane\Core\Time\Playlist;

/** What a released plan says should be shown, to hold a proof against. A report taken within a second of a change may name either side of it. */
final readonly class Expectation
{
    private const TOLERANCE_MS = 1000;

    /** @param array<string, mixed> $plan as {@see \UpperPane\Core\Plan\Plan::toArray()} wrote it */
    public function __construct(private int $release, private array $plan, private int $startMs)
    {
    }

    /**
     * @return list<string> letters of the zones that show something else; empty when all is as it should be
     */
    public function differences(Proof $proof): array
    {
        $letters = [];
        foreach ($this->plan['zones'] as $zone) {
            $shown = $proof->zones[$zone['id']] ?? null;
            $allowed = array_map(fn (int $slip) => $this->entryAt($zone, $proof->atMs + $slip), [-self::TOLERANCE_MS, 0, self::TOLERANCE_MS]);
            if (!array_key_exists($zone['id'], $proof->zones) || !in_array($shown, $allowed, true)) {
                $letters[] = $zone['letter'];
            }
        }

        return $letters;
    }

    public function proves(Proof $proof): bool
    {
        return $proof->release === $this->release && $this->differences($proof) === [];
    }

    /** @param array<string, mixed> $zone */
    private function entryAt(array $zone, int $atMs): ?string
    {
        if ($zone['cycle_ms'] === null) {
            return null;
        }
        $entries = array_map(static fn (array $item) => ['id' => (string) $item['entry'], 'ms' => (int) $item['ms']], $zone['items']);
        $since = $atMs - $this->startMs;
        $cycle = (int) $zone['cycle_ms'];

        return Playlist::of($entries)->at((($since % $cycle) + $cycle) % $cycle)['entry'];
    }
}
