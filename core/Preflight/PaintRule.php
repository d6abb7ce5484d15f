<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Plan\Paint\PaintedScene;

/** One thing that can be wrong with how what a scene paints lies on, under or over other things. */
interface PaintRule
{
    /** @return list<Finding> */
    public function check(PaintedScene $scene): array;
}
