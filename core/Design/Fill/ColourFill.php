<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** One colour over the whole zone. */
final readonly class ColourFill implements Fill
{
    use Altered;

    private function __construct(public Colour $colour)
    {
    }

    public static function of(Colour $colour): self
    {
        return new self($colour);
    }

    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'colour']);

        return new self(Colour::parse($input->child('colour')));
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'colour' => $names->colour($this->colour),
        ]);
    }

    public function kind(): FillKind
    {
        return FillKind::Colour;
    }

    public function toArray(): array
    {
        return ['kind' => 'colour', 'colour' => $this->colour->said];
    }

    public function mediaIds(): array
    {
        return [];
    }
}
