<?php

declare(strict_types=1);

namespace UpperPane\Core\Web;

/** What was found when a page was last asked for. */
final readonly class WebFacts
{
    /** @param string $said the header that refuses, or why nothing came; empty when all is well */
    public function __construct(public WebState $state, public string $said = '')
    {
    }
}
