<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Plan\ZonePlan;

/** One thing that can be wrong with a zone. */
interface Rule
{
    /** @return list<Finding> */
    public function check(ZonePlan $zone): array;
}
