<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Does one kind of job. It may be run again for the same payload after a lost worker, so it must come out the same. */
#[AutoconfigureTag('upper_pane.job')]
interface Handler
{
    public function kind(): string;

    /** @param array<string, mixed> $payload */
    public function handle(array $payload): void;
}
