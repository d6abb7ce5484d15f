<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Fill\Colour;
use UpperPane\Core\Legibility\Contrast;

/** Two colours → their contrast ratio. */
final readonly class ContrastCommand implements Command
{
    public function name(): string
    {
        return 'contrast';
    }

    public function about(): string
    {
        return 'Ink and ground: the contrast ratio of WCAG 2, rounded to two digits.';
    }

    public function schema(): array
    {
        $colour = ['type' => 'string', 'pattern' => '^#[0-9A-Fa-f]{6}$'];

        return Schema::object(['ink' => $colour, 'ground' => $colour], ['ink', 'ground']);
    }

    public function run(Input $input): array
    {
        $input->keys(['ink', 'ground']);

        return [
            'ratio' => round(
                Contrast::ratio(Colour::parse($input->child('ink'))->hex, Colour::parse($input->child('ground'))->hex),
                2,
            ),
        ];
    }
}
