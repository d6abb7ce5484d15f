<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/** In which order the entries of a list play (model §6). */
enum Order: string
{
    case Listed = 'listed';
    /** Another one each day, the same all day. */
    case Shuffled = 'shuffled';
    /** Another one each pass, and nothing twice in a row. */
    case Random = 'random';
}
