<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** A line of so many design px around every letter. */
final readonly class Outline
{
    use Altered;

    private function __construct(public Colour $colour, public int $px)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['colour', 'px']);

        return new self(Colour::parse($input->child('colour')), $input->int('px', 1, 400));
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'colour' => $names->colour($this->colour),
        ]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['colour' => $this->colour->said, 'px' => $this->px];
    }
}
