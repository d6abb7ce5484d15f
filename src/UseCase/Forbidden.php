<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase;

use UpperPane\Core\Site\Right;

/** Something this person may not do here: 403. */
final class Forbidden extends \RuntimeException
{
    private function __construct(public readonly Right $right, public readonly string $site)
    {
        parent::__construct($right->value);
    }

    public static function at(string $site, Right $right): self
    {
        return new self($right, $site);
    }
}
