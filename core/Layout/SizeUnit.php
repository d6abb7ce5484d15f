<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

/** What a size is written in: px, %, fr or mm. */
enum SizeUnit: string
{
    case Px = 'px';
    case Percent = '%';
    case Mm = 'mm';
    case Fr = 'fr';
}
