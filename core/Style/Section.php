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

    /**
     * In the order they are read in, which nobody sets: colours by name, sizes from large to small, distances from
     * small to large. So it does not matter who came first, and what is put back stands where it was.
     *
     * @template T of NamedColour|TypeStep|SpaceStep
     *
     * @param array<string, T> $named by id
     *
     * @return array<string, T>
     */
    public static function inOrder(array $named): array
    {
        $rank = static fn (NamedColour|TypeStep|SpaceStep $one): int => match (true) {
            $one instanceof TypeStep => -$one->sizePx,
            $one instanceof SpaceStep => $one->px,
            default => 0,
        };
        // A stable sort: of one rank and name, by their ids.
        ksort($named, \SORT_STRING);
        uasort(
            $named,
            static fn (NamedColour|TypeStep|SpaceStep $one, NamedColour|TypeStep|SpaceStep $other): int => [
                $rank($one) <=> $rank($other),
                strnatcasecmp($one->name, $other->name),
            ] <=> [0, 0],
        );

        return $named;
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
