<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

/** A fill that is written in letters. */
interface StyledFill extends Fill
{
    public function style(): TextStyle;
}
