<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

/** The same value with some of what it was made of otherwise. */
trait Altered
{
    /** @param array<string, mixed> $anew by the name of what it is made of */
    private function altered(array $anew): self
    {
        return new self(...array_replace(get_object_vars($this), $anew));
    }
}
