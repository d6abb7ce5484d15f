<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

/** Where a plan looks for a picture made for where it is shown. */
interface VariantShelf
{
    /** Null as long as there is none. */
    public function find(string $sha256, int $longerSidePx, Quality $quality): ?Variant;
}
