<?php

declare(strict_types=1);

namespace UpperPane\Core\Web;

/** Whether a page can be shown in a zone, as far as is known. */
enum WebState: string
{
    case Waiting = 'waiting';
    case Shown = 'shown';
    case Refused = 'refused';
    case Away = 'away';
}
