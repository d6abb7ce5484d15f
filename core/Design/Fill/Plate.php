<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** A plate behind the lines of a text, so many design px larger on every side, with round corners. */
final readonly class Plate
{
    use Altered;

    private function __construct(public Colour $colour, public int $paddingPx, public int $radiusPx)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['colour', 'padding', 'radius']);

        return new self(
            Colour::parse($input->child('colour')),
            $input->int('padding', 0, 2000),
            $input->int('radius', 0, 2000),
        );
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
        return ['colour' => $this->colour->said, 'padding' => $this->paddingPx, 'radius' => $this->radiusPx];
    }
}
