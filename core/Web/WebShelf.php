<?php

declare(strict_types=1);

namespace UpperPane\Core\Web;

/** Where a plan looks up what is known of the pages that fills show. */
interface WebShelf
{
    public function find(string $address): ?WebFacts;
}
