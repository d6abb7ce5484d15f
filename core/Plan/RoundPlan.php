<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Time\Pieces;

/**
 * Scenes that follow each other by themselves (model §6): where in the round an instant lies. The cycle is the sum of
 * the lengths; a scene without a length never ends, so nothing after it is ever shown.
 */
final readonly class RoundPlan
{
    private Pieces $pieces;

    /** @param non-empty-list<array{scene: string, ms: ?int}> $scenes in their order */
    private function __construct(public array $scenes)
    {
        $this->pieces = Pieces::of(array_column($scenes, 'ms'));
    }

    /** @param non-empty-list<array{scene: string, ms: ?int}> $scenes */
    public static function of(array $scenes): self
    {
        return new self($scenes);
    }

    /** @param Input $input as {@see self::toArray()} wrote it */
    public static function read(Input $input): self
    {
        $scenes = array_map(
            static fn (Input $scene) => [
                'scene' => $scene->id('scene'),
                'ms' => $scene->optional('ms')?->asInt(1, \PHP_INT_MAX),
            ],
            $input->list('scenes', 1000, 1),
        );

        return new self($scenes === [] ? throw new \LogicException('The list has a scene.') : $scenes);
    }

    /** In ms; null when a scene never ends. */
    public function cycleMs(): ?int
    {
        return $this->pieces->cycleMs();
    }

    /**
     * What shows t ms after the showing began, since when and how long still; a scene holds up to, not including, its
     * end.
     *
     * @return array{index: int, scene: string, since_ms: int, left_ms: ?int}
     */
    public function at(int $tMs): array
    {
        $now = $this->pieces->at($tMs) ?? throw new \LogicException('A round has a scene.');

        return ['index' => $now['index'], 'scene' => $this->scenes[$now['index']]['scene']] + $now;
    }

    /** @return array{scenes: list<array{scene: string, ms: ?int}>, cycle_ms: ?int} */
    public function toArray(): array
    {
        return ['scenes' => $this->scenes, 'cycle_ms' => $this->cycleMs()];
    }
}
