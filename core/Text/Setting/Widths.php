<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Setting;

/** Widths that a browser measured of lines that the core can only estimate. */
interface Widths
{
    /** In thousandths of the size, without letter spacing; null where nobody has measured. */
    public function find(string $family, int $weight, string $line): ?int;
}
