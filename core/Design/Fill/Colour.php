<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** An opaque sRGB colour, held as #RRGGBB in capitals. */
final readonly class Colour
{
    private function __construct(public string $hex)
    {
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
        $text = $input->asText(32);
        if (preg_match('/^#[0-9A-Fa-f]{6}$/D', $text) !== 1) {
            throw Refusal::because('input.colour', $input->path, ['value' => $text]);
        }

        return new self(strtoupper($text));
    }
}
