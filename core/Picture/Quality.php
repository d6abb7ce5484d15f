<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

/** How a picture is handed to players: made for where it is shown, made smaller than one would by eye, or as it is. */
enum Quality: string
{
    case Usual = 'usual';
    case Small = 'small';
    case Original = 'original';
}
