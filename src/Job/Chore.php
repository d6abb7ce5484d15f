<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Work that every worker does at its start and again and again: it looks what is wrong, and mends it. */
#[AutoconfigureTag('upper_pane.chore')]
interface Chore
{
    public function everySeconds(): int;

    /** @return string what was mended, for the log; empty when there was nothing */
    public function run(): string;
}
