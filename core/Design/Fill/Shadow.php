<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** A shadow so many design px aside and below, blurred; one that is not aside is a glow (CSS Text Decoration 3 §4). */
final readonly class Shadow
{
    use Altered;

    private function __construct(public Colour $colour, public int $xPx, public int $yPx, public int $blurPx)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['colour', 'x', 'y', 'blur']);

        return new self(
            Colour::parse($input->child('colour')),
            $input->int('x', -400, 400),
            $input->int('y', -400, 400),
            $input->int('blur', 0, 400),
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
        return ['colour' => $this->colour->said, 'x' => $this->xPx, 'y' => $this->yPx, 'blur' => $this->blurPx];
    }
}
