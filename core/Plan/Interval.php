<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Input;

/** A stretch of a programme in which one plan holds a surface. */
final readonly class Interval
{
    /**
     * @param ?int                              $untilMs not included; null for the last, which is open
     * @param int                               $startMs of the showing: what its round is counted from. It may lie
     *                                                   before the stretch, where the same plan held already.
     * @param list<array{code: string, params: array<string, int|string>}> $why
     */
    public function __construct(
        public int $fromMs,
        public ?int $untilMs,
        public int $startMs,
        public PlanRef $plan,
        public array $why,
    ) {
    }

    /** The same, ending at an instant at the latest. */
    public function until(int $ms): self
    {
        return new self($this->fromMs, min($ms, $this->untilMs ?? $ms), $this->startMs, $this->plan, $this->why);
    }

    public static function read(Input $input): self
    {
        /** @var list<array{code: string, params: array<string, int|string>}> $why */
        $why = $input->child('why')->raw();

        return new self(
            $input->int('from_ms', 0, \PHP_INT_MAX),
            $input->child('until_ms')->isNull() ? null : $input->int('until_ms', 0, \PHP_INT_MAX),
            $input->int('start_ms', 0, \PHP_INT_MAX),
            PlanRef::read($input->child('plan')),
            $why,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'from_ms' => $this->fromMs,
            'until_ms' => $this->untilMs,
            'plan' => $this->plan->toArray(),
            'shows' => 'round',
            'start_ms' => $this->startMs,
            'why' => $this->why,
        ];
    }
}
