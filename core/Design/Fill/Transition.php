<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** How an entry enters; it takes the first `ms` of the entry's own time (model §6). A cut takes none. */
final readonly class Transition
{
    private const USUAL_MS = 600;

    private function __construct(public TransitionKind $kind, public int $ms)
    {
    }

    public static function cut(): self
    {
        return new self(TransitionKind::Cut, 0);
    }

    /** One whose `ms` is left out takes the usual time. */
    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'ms']);
        $kind = $input->enum('kind', TransitionKind::class);
        $ms = $input->has('ms') ? $input->int('ms', 0, 10_000) : self::USUAL_MS;

        return new self($kind, $kind->takesTime() ? $ms : 0);
    }

    /** The same, but no longer than that. */
    public function atMost(int $ms): self
    {
        return $this->ms <= $ms ? $this : new self($this->kind, $ms);
    }

    /** @return array{kind: string, ms: int} */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value, 'ms' => $this->ms];
    }
}
