<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

/** How a step came about. */
enum Nature: string
{
    case Edit = 'edit';
    case Undo = 'undo';
    case Redo = 'redo';
}
