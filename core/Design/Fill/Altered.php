<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

/** The same value with some of what it was made of otherwise. */
trait Altered
{
    /** @param array<string, mixed> $anew by the name of what it is made of */
    private function altered(array $anew): self
    {
        // @phpstan-ignore argument.type (what is not anew is as it was; PHP itself holds the rest to its types)
        return new self(...array_replace(get_object_vars($this), $anew));
    }
}
