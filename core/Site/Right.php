<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

/** What may be allowed at a site. */
enum Right: string
{
    /** Look at everything of the site. */
    case See = 'see';
    /** Make and change designs. */
    case Design = 'design';
    /** Make and change surfaces, wire them, add players. */
    case Mount = 'mount';
    /** Add files to the Stock. */
    case Fill = 'fill';
    /** Take files out of the Stock. */
    case Clear = 'clear';
    case Release = 'release';
    case HandOff = 'hand_off';
    case Pair = 'pair';
    /** Look after the machine: how full its disk is, who may sign in. */
    case Run = 'run';
}
