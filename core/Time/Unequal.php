<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/** What a follower does that has fewer entries, or more, than its leader has steps (model §6). */
enum Unequal: string
{
    case Wrap = 'wrap';
    case Hold = 'hold';
    case Clear = 'clear';
}
