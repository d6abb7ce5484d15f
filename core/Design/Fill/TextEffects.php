<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/**
 * What a text may have beside its style: room between letters, a gradient in them, an outline, a shadow, a plate. All
 * may be missing.
 */
final readonly class TextEffects
{
    use Altered;

    public const KEYS = ['spacing', 'gradient', 'outline', 'shadow', 'plate'];
    private const NARROWEST = -200;
    private const WIDEST = 2000;

    /** @param int $spacingThousandths of the size, added behind every letter (CSS Text 3 §8.2, letter-spacing) */
    private function __construct(
        public int $spacingThousandths,
        public ?Gradient $gradient,
        public ?Outline $outline,
        public ?Shadow $shadow,
        public ?Plate $plate,
    ) {
    }

    public static function parse(Input $input): self
    {
        $gradient = $input->optional('gradient');
        $outline = $input->optional('outline');
        $shadow = $input->optional('shadow');
        $plate = $input->optional('plate');

        return new self(
            $input->has('spacing') ? $input->int('spacing', self::NARROWEST, self::WIDEST) : 0,
            $gradient === null ? null : Gradient::parse($gradient),
            $outline === null ? null : Outline::parse($outline),
            $shadow === null ? null : Shadow::parse($shadow),
            $plate === null ? null : Plate::parse($plate),
        );
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'gradient' => $this->gradient?->resolved($names),
            'outline' => $this->outline?->resolved($names),
            'shadow' => $this->shadow?->resolved($names),
            'plate' => $this->plate?->resolved($names),
        ]);
    }

    /** @return array<string, mixed> only what is there */
    public function toArray(): array
    {
        return array_filter([
            'spacing' => $this->spacingThousandths,
            'gradient' => $this->gradient?->toArray(),
            'outline' => $this->outline?->toArray(),
            'shadow' => $this->shadow?->toArray(),
            'plate' => $this->plate?->toArray(),
        ]);
    }
}
