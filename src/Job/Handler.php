<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * Does one kind of job. It may be run again for the same payload after a lost worker, so it must come out the same.
 * What it changes in entities is written with the job's end, in one transaction, by whoever holds the job.
 */
#[AutoconfigureTag('upper_pane.job')]
interface Handler
{
    public function kind(): string;

    /** @param array<string, mixed> $payload */
    public function handle(array $payload): void;

    /**
     * Says where people look that it was tried as often as it is tried.
     *
     * @param array<string, mixed> $payload
     */
    public function giveUp(array $payload, int $attempts): void;
}
