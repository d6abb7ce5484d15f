<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

/** CSS Images 3 §5.5 object-fit; *stretch* is CSS `fill`. */
enum FitMode: string
{
    case Contain = 'contain';
    case Cover = 'cover';
    case Stretch = 'stretch';
    case None = 'none';
}
