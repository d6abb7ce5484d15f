<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase;

/** Something asked for by its address that is not there: 404. */
final class Absent extends \RuntimeException
{
    public static function named(string $what): self
    {
        return new self($what);
    }
}
