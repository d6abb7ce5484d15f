<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;

/** µm per px along both axes; null where nobody said, and mm cannot be resolved. */
final readonly class Pitches
{
    public function __construct(private ?Rational $xUm = null, private ?Rational $yUm = null)
    {
    }

    public function along(Axis $axis): ?Rational
    {
        return $axis === Axis::X ? $this->xUm : $this->yUm;
    }
}
