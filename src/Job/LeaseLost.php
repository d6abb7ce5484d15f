<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

/** Another worker holds the job by now: what this one did must not be written. */
final class LeaseLost extends \RuntimeException
{
}
