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
    public const OPEN = 'open';
    public const MS = 'ms';
    public const LEADER = 'leader';
    public const LONGEST = 'longest';

    private function __construct(public string $kind, public int $ms = 0, public string $leader = '')
    {
    }

    public static function open(): self
    {
        return new self(self::OPEN);
    }

    public static function longest(): self
    {
        return new self(self::LONGEST);
    }

    public static function parse(Input $input): self
    {
        $kind = (string) $input->choice('kind', [self::OPEN, self::MS, self::LEADER, self::LONGEST]);
        $input->keys(['kind', ...$kind === self::MS ? ['ms'] : [], ...$kind === self::LEADER ? ['zone'] : []]);

        return new self(
            $kind,
            $kind === self::MS ? $input->int('ms', 1, Cycles::HORIZON_MS) : 0,
            $kind === self::LEADER ? $input->id('zone') : '',
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['kind' => $this->kind] +
            match ($this->kind) {
                self::MS => ['ms' => $this->ms],
                self::LEADER => ['zone' => $this->leader],
                default => [],
            };
    }
}
