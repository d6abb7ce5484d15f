<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** A text that runs through its zone, over and over: which way, and how many design px a second. */
final readonly class Ticker
{
    public const DIRECTIONS = ['left', 'right', 'up', 'down'];
    private const FASTEST = 20_000;

    private function __construct(public string $direction, public int $pxPerSecond)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['direction', 'speed']);

        return new self(
            (string) $input->choice('direction', self::DIRECTIONS),
            $input->int('speed', 1, self::FASTEST),
        );
    }

    public function runsAcross(): bool
    {
        return $this->direction === 'left' || $this->direction === 'right';
    }

    /** From the right or from below. */
    public function comesFromTheEnd(): bool
    {
        return $this->direction === 'left' || $this->direction === 'up';
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['direction' => $this->direction, 'speed' => $this->pxPerSecond];
    }
}
