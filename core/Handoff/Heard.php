<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

/** What was heard of a player over a stretch of time. */
enum Heard: string
{
    /** It told that it shows what it should. */
    case Confirmed = 'confirmed';
    /** It told of something else. */
    case Denied = 'denied';
    /** It told nothing. */
    case Silent = 'silent';
}
