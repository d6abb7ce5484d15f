<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use UpperPane\App\Job\Handler;

/** Does whatever a test wants of a job, and remembers what it was told to give up. */
final class ProbeHandler implements Handler
{
    /** @var list<array{array<string, mixed>, int}> */
    public array $givenUp = [];

    /** @param \Closure(): mixed $work */
    public function __construct(private readonly \Closure $work)
    {
    }

    public function kind(): string
    {
        return 'probe';
    }

    public function handle(array $payload): void
    {
        ($this->work)();
    }

    public function giveUp(array $payload, int $attempts): void
    {
        $this->givenUp[] = [$payload, $attempts];
    }
}
