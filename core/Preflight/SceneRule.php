<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Plan\ScenePlan;

/** One thing that can be wrong with how the zones of a scene lie to each other. */
interface SceneRule
{
    /** @return list<Finding> */
    public function check(ScenePlan $scene): array;
}
