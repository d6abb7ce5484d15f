<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Text\Setting\TextMode;

/**
 * One style for a whole text: face, size and least size in design px, mode, line height in thousandths of the size (0:
 * the font's own), colours (no ground: what lies under it is seen), placing, effects; `type`: the step of the house
 * style's type scale that it was taken from, `space` that of its padding.
 */
final readonly class TextStyle
{
    use Altered;

    public const KEYS = [
        'font',
        'weight',
        'size',
        'min_size',
        'mode',
        'line_height',
        'colour',
        'ground',
        'align',
        'valign',
        'padding',
        'type',
        'space',
        ...TextEffects::KEYS,
    ];
    private const LARGEST_SIZE_PX = 4000;

    private function __construct(
        public string $font,
        public int $weight,
        public int $sizePx,
        public int $minSizePx,
        public TextMode $mode,
        public int $lineHeightThousandths,
        public Colour $colour,
        public ?Colour $ground,
        public string $align,
        public string $valign,
        public int $paddingPx,
        public TextEffects $effects,
        public ?string $type,
        public ?string $space,
    ) {
    }

    public static function parse(Input $input): self
    {
        $size = $input->int('size', 1, self::LARGEST_SIZE_PX);

        return new self(
            $input->text('font', 80, 1),
            $input->int('weight', 100, 900),
            $size,
            $input->int('min_size', 1, $size),
            TextMode::from((string) $input->choice('mode', array_column(TextMode::cases(), 'value'))),
            $input->int('line_height', 0, 5000),
            Colour::parse($input->child('colour')),
            Colour::parseOrNone($input->child('ground')),
            (string) $input->choice('align', ['left', 'centre', 'right']),
            (string) $input->choice('valign', ['top', 'middle', 'bottom']),
            $input->int('padding', 0, 10_000),
            TextEffects::parse($input),
            $input->optional('type')?->asId(),
            $input->optional('space')?->asId(),
        );
    }

    /** With the letters and colours that its names stand for. */
    public function resolved(Names $names): self
    {
        return $names->letters($this)->altered([
            'colour' => $names->colour($this->colour),
            'ground' => $this->ground === null ? null : $names->colour($this->ground),
            'effects' => $this->effects->resolved($names),
        ]);
    }

    /** In other letters; the least size is never above the size. */
    public function inLetters(string $font, int $weight, int $sizePx, int $lineHeightThousandths): self
    {
        return $this->altered([
            'font' => $font,
            'weight' => $weight,
            'sizePx' => $sizePx,
            'minSizePx' => min($this->minSizePx, $sizePx),
            'lineHeightThousandths' => $lineHeightThousandths,
        ]);
    }

    public function padded(int $px): self
    {
        return $this->altered(['paddingPx' => $px]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'font' => $this->font,
            'weight' => $this->weight,
            'size' => $this->sizePx,
            'min_size' => $this->minSizePx,
            'mode' => $this->mode->value,
            'line_height' => $this->lineHeightThousandths,
            'colour' => $this->colour->said,
            'ground' => $this->ground?->said,
            'align' => $this->align,
            'valign' => $this->valign,
            'padding' => $this->paddingPx,
        ] + array_filter(['type' => $this->type, 'space' => $this->space]) + $this->effects->toArray();
    }
}
