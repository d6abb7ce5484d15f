<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Fill\Colour;

/** A colour that has a name. */
final readonly class NamedColour
{
    private function __construct(public string $name, public Colour $colour)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['name', 'hex']);

        return new self(trim($input->text('name', 60, 1)), Colour::parsePlain($input->child('hex')));
    }

    /** @return array{name: string, hex: string} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'hex' => $this->colour->hex];
    }
}
