<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Geometry\Rational;

/** What became of a glazing on another surface. */
final readonly class Reflowed
{
    /**
     * @param Rational      $scale   px there per design px
     * @param Part          $tree    to go on from as a layout of its own there; without what was left out
     * @param list<string>  $leftOut panes there was no px for
     * @param list<Finding> $findings
     */
    public function __construct(
        public Rational $scale,
        public Glazing $glazing,
        public Part $tree,
        public array $leftOut,
        public array $findings,
    ) {
    }
}
