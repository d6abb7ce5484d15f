<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

/** A job that this worker holds, and the attempt it holds it by. */
final readonly class Claimed
{
    /** @param array<string, mixed> $payload */
    public function __construct(public int $id, public string $kind, public array $payload, public int $attempt)
    {
    }

    public function isLast(): bool
    {
        return $this->attempt >= Queue::MOST_ATTEMPTS;
    }
}
