<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

/** How a step came about. */
enum Nature: string
{
    case Begin = 'begin';
    case Edit = 'edit';
    case Undo = 'undo';
    case Redo = 'redo';

    /** Brought back from what was kept, after its parts could not be read any more. */
    case Mend = 'mend';
}
