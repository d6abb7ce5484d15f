<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

/** What the names in a fill stand for where it is shown: those of a house style. */
interface Names
{
    /** The colour as it is now; itself when it has no name, or one that is not known any more. */
    public function colour(Colour $said): Colour;

    /** Letters of the step and with the distance that they name; their colours are not looked at. */
    public function letters(TextStyle $said): TextStyle;
}
