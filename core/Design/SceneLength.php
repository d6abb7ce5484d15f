<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Time\Cycles;

/**
 * How long a scene lasts (model §6): a number of ms, its leader's cycle, its longest cycle, or until something else
 * comes, which makes sense only alone in the round.
 */
final readonly class SceneLength
{
    private function __construct(public LengthKind $kind, public int $ms = 0, public string $leader = '')
    {
    }

    public static function open(): self
    {
        return new self(LengthKind::Open);
    }

    public static function longest(): self
    {
        return new self(LengthKind::Longest);
    }

    public static function parse(Input $input): self
    {
        $kind = $input->enum('kind', LengthKind::class);
        $keys = match ($kind) {
            LengthKind::Open, LengthKind::Longest => [],
            LengthKind::Ms => ['ms'],
            LengthKind::Leader => ['zone'],
        };
        $input->keys(['kind', ...$keys]);

        return match ($kind) {
            LengthKind::Open, LengthKind::Longest => new self($kind),
            LengthKind::Ms => new self($kind, ms: $input->int('ms', 1, Cycles::HORIZON_MS)),
            LengthKind::Leader => new self($kind, leader: $input->id('zone')),
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value] +
            match ($this->kind) {
                LengthKind::Open, LengthKind::Longest => [],
                LengthKind::Ms => ['ms' => $this->ms],
                LengthKind::Leader => ['zone' => $this->leader],
            };
    }
}
