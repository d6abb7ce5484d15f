<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** What a house style gives names to. */
enum Section: string
{
    case Colours = 'colour';
    case Types = 'type';
    case Spaces = 'space';

    /** As the style names it, and as what an edit touches is named. */
    public function plural(): string
    {
        return $this->value.'s';
    }

    /** @throws Refusal */
    public function parse(Input $input): NamedColour|TypeStep|SpaceStep
    {
        return match ($this) {
            self::Colours => NamedColour::parse($input),
            self::Types => TypeStep::parse($input),
            self::Spaces => SpaceStep::parse($input),
        };
    }
}
