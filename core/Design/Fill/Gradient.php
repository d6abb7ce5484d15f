<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** From the colour before to another one, across the box at an angle: 0° from left to right, 90° downwards. */
final readonly class Gradient
{
    use Altered;

    private function __construct(public Colour $to, public int $degrees)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['to', 'angle']);

        return new self(Colour::parse($input->child('to')), $input->int('angle', 0, 359));
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'to' => $names->colour($this->to),
        ]);
    }

    /** @return array{int, int, int, int} where it begins and ends, in thousandths of the box */
    public function line(): array
    {
        [$x, $y] = [500 * cos(deg2rad($this->degrees)), 500 * sin(deg2rad($this->degrees))];

        return array_map(static fn (float $at) => (int) round($at), [500 - $x, 500 - $y, 500 + $x, 500 + $y]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['to' => $this->to->said, 'angle' => $this->degrees];
    }
}
