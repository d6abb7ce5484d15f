<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** How a text comes when it begins to be shown: all at once, line by line, or as if typed; and how long that takes. */
final readonly class Entrance
{
    public const WAYS = ['fade', 'lines', 'typed'];
    private const LONGEST_MS = 60_000;

    private function __construct(public string $way, public int $ms)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['way', 'ms']);

        return new self((string) $input->choice('way', self::WAYS), $input->int('ms', 100, self::LONGEST_MS));
    }

    /** @return array{way: string, ms: int} */
    public function toArray(): array
    {
        return ['way' => $this->way, 'ms' => $this->ms];
    }
}
