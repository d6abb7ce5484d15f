<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * An opaque sRGB colour, held as #RRGGBB in capitals. It may be one that a house style names: then its id stands before
 * it, and it is what the colour was when it was chosen.
 */
final readonly class Colour
{
    private const NAMED = '/^(?:([a-z0-9-]{1,40})@)?(#[0-9A-Fa-f]{6})$/D';
    public string $said;

    /** @param string $name id of a colour of the house style; empty for a colour of its own */
    private function __construct(public string $hex, public string $name = '')
    {
        $this->said = $name === '' ? $hex : "$name@$hex";
    }

    /** What its name stands for now. */
    public function now(string $hex): self
    {
        return new self($hex, $this->name);
    }

    /** What is seen where nothing is: nearly black, as an unlit screen. */
    public static function ofNothing(): self
    {
        return new self('#0C1216');
    }

    /**
     * Null where there is to be none.
     *
     * @throws Refusal `input.colour`
     */
    public static function parseOrNone(Input $input): ?self
    {
        return $input->isNull() ? null : self::parse($input);
    }

    /** @throws Refusal `input.colour` */
    public static function parse(Input $input): self
    {
        $text = $input->asText(60);

        return preg_match(self::NAMED, $text, $part) === 1
            ? new self(strtoupper($part[2]), $part[1])
            : throw Refusal::because('input.colour', $input->path, ['value' => $text]);
    }

    /** @throws Refusal `input.colour`, also for one that is named */
    public static function parsePlain(Input $input): self
    {
        $colour = self::parse($input);

        return $colour->name === ''
            ? $colour
            : throw Refusal::because('input.colour', $input->path, ['value' => $colour->said]);
    }
}
