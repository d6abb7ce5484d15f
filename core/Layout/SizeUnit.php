<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

enum SizeUnit: string
{
    case Px = 'px';
    case Percent = '%';
    case Mm = 'mm';
    case Fr = 'fr';
}
