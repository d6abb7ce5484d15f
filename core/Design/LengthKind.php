<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

/** By what a scene's length goes (model §6). Whoever adds one is told by the compiler wherever it is missing. */
enum LengthKind: string
{
    /** Until something else comes: alone in its round. */
    case Open = 'open';
    case Ms = 'ms';
    /** The cycle of one of its zones. */
    case Leader = 'leader';
    /** The longest cycle of its zones. */
    case Longest = 'longest';
}
