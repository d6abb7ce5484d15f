<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/**
 * A shape in a plain colour or a gradient, with or without a line around it and words in it, on a ground or on what
 * lies under it.
 */
final readonly class ShapeFill implements Fill
{
    use Altered;

    private function __construct(
        public Shape $shape,
        public Colour $colour,
        public ?Gradient $gradient,
        public ?Outline $line,
        public int $radiusPx,
        public int $paddingPx,
        public ?Colour $ground,
        public ?TextFill $label,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['kind', 'shape', 'colour', 'gradient', 'line', 'radius', 'padding', 'ground', 'label']);
        $shape = $input->enum('shape', Shape::class);
        \assert($shape instanceof Shape);
        [$gradient, $line] = [$input->optional('gradient'), $input->optional('line')];
        $label = $input->optional('label');

        return new self(
            $shape,
            Colour::parse($input->child('colour')),
            $gradient === null ? null : Gradient::parse($gradient),
            $line === null ? null : Outline::parse($line),
            $input->int('radius', 0, 10_000),
            $input->int('padding', 0, 10_000),
            Colour::parseOrNone($input->child('ground')),
            $label === null ? null : TextFill::parseStanding($label),
        );
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'colour' => $names->colour($this->colour),
            'gradient' => $this->gradient?->resolved($names),
            'line' => $this->line?->resolved($names),
            'ground' => $this->ground === null ? null : $names->colour($this->ground),
            'label' => $this->label?->resolved($names),
        ]);
    }

    public function kind(): FillKind
    {
        return FillKind::Shape;
    }

    public function toArray(): array
    {
        return [
            'kind' => 'shape',
            'shape' => $this->shape->value,
            'colour' => $this->colour->said,
            'radius' => $this->radiusPx,
            'padding' => $this->paddingPx,
            'ground' => $this->ground?->said,
        ] + array_filter([
            'gradient' => $this->gradient?->toArray(),
            'line' => $this->line?->toArray(),
            'label' => $this->label?->toArray(),
        ]);
    }

    public function mediaIds(): array
    {
        return [];
    }
}
