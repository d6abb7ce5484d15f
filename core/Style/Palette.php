<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Design\Fill\Colour;
use UpperPane\Core\Design\Fill\Names;
use UpperPane\Core\Design\Fill\TextStyle;

/** What a house style makes of fills that use its names. */
final readonly class Palette implements Names
{
    private function __construct(private ?HouseStyle $style)
    {
    }

    public static function of(?HouseStyle $style): self
    {
        return new self($style);
    }

    public function mark(): ?CornerMark
    {
        return $this->style?->mark;
    }

    public function colour(Colour $said): Colour
    {
        $named = $this->style?->colours[$said->name] ?? null;

        return $named === null ? $said : $said->now($named->colour->hex);
    }

    public function letters(TextStyle $said): TextStyle
    {
        $step = $this->style?->types[$said->type ?? ''] ?? null;
        $space = $this->style?->spaces[$said->space ?? ''] ?? null;
        $padded = $space === null ? $said : $said->padded($space->px);

        return $step === null
            ? $padded
            : $padded->inLetters($step->font, $step->weight, $step->sizePx, $step->lineHeightThousandths);
    }
}
