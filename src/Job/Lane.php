<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

/** What people wait for does not stand behind what takes long: each worker serves lanes, in this order. */
enum Lane: string
{
    /** Orders of players. */
    case Now = 'now';
    /** Pictures, faces: seconds. */
    case Soon = 'soon';
    /** Videos, pages, what is drawn or converted: minutes, or as long as others take to answer. */
    case Long = 'long';
}
