<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

use UpperPane\Core\Base\Input;

/** What one output of a player shows, as the pages of its browser tell each other, one for each output. */
final readonly class OutputReport
{
    /** Two frames of 60 Hz: by clocks that are further apart, outputs turn from scene to scene visibly apart. */
    private const TOGETHER_MS = 34;

    /** @param int $offsetMs of its clock to the machine's */
    private function __construct(public int $number, public string $plan, public int $offsetMs)
    {
    }

    public static function read(Input $input): self
    {
        $input->keys(['number', 'plan', 'offset_ms']);

        return new self(
            $input->int('number', 1, 1000),
            Proof::sha256($input->child('plan')),
            $input->int('offset_ms', \PHP_INT_MIN, \PHP_INT_MAX),
        );
    }

    /**
     * Whether they show the same by the same clock; null where there are not two.
     *
     * @param list<self> $outputs
     */
    public static function agree(array $outputs): ?bool
    {
        if (count($outputs) < 2) {
            return null;
        }
        $offsets = array_map(static fn (self $output) => $output->offsetMs, $outputs);

        return count(array_unique(array_map(static fn (self $output) => $output->plan, $outputs))) === 1
            && max($offsets) - min($offsets) <= self::TOGETHER_MS;
    }

    /** @return array{number: int, plan: string, offset_ms: int} */
    public function toArray(): array
    {
        return ['number' => $this->number, 'plan' => $this->plan, 'offset_ms' => $this->offsetMs];
    }
}
