<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

/**
 * Scenes that follow each other by themselves (model §6): where in the round an instant lies. The cycle is the sum of
 * the lengths; a scene without a length never ends, so nothing after it is ever shown.
 */
final readonly class RoundPlan
{
    /** @param non-empty-list<array{scene: string, ms: ?int}> $scenes in their order */
    private function __construct(public array $scenes)
    {
    }

    /** @param non-empty-list<array{scene: string, ms: ?int}> $scenes */
    public static function of(array $scenes): self
    {
        return new self($scenes);
    }

    /** In ms; null when a scene never ends. */
    public function cycleMs(): ?int
    {
        $cycle = 0;
        foreach ($this->scenes as $scene) {
            if ($scene['ms'] === null) {
                return null;
            }
            $cycle += $scene['ms'];
        }

        return $cycle;
    }

    /**
     * What shows t ms after the showing began, since when and how long still; a scene holds up to, not including, its
     * end.
     *
     * @return array{index: int, scene: string, since_ms: int, left_ms: ?int}
     */
    public function at(int $tMs): array
    {
        $cycle = $this->cycleMs();
        $rest = $cycle === null ? max(0, $tMs) : (($tMs % $cycle) + $cycle) % $cycle;
        foreach ($this->scenes as $index => ['scene' => $scene, 'ms' => $ms]) {
            if ($ms === null || $rest < $ms) {
                return [
                    'index' => $index,
                    'scene' => $scene,
                    'since_ms' => $rest,
                    'left_ms' => $ms === null ? null : $ms - $rest,
                ];
            }
            $rest -= $ms;
        }
        throw new \LogicException('The rest is below the cycle.');
    }

    /** @return array{scenes: list<array{scene: string, ms: ?int}>, cycle_ms: ?int} */
    public function toArray(): array
    {
        return ['scenes' => $this->scenes, 'cycle_ms' => $this->cycleMs()];
    }
}
