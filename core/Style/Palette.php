<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\FillReader;

/** What a house style makes of fills that use its names. */
final readonly class Palette
{
    /** Under which keys fills have colours: what people write may look like one. */
    private const COLOURS = ['colour', 'ground', 'ink', 'accent', 'track', 'hands', 'face', 'to'];

    private function __construct(private ?HouseStyle $style)
    {
    }

    public static function of(?HouseStyle $style): self
    {
        return new self($style);
    }

    public function mark(): ?CornerMark
    {
        return $this->style?->mark;
    }

    /**
     * The fill with the colours and faces that its names mean now. A name that the style has not any more stays what it
     * was when it was chosen.
     *
     * @throws Refusal when the fill cannot have what the style says: a QR code in colours that do not scan
     */
    public function applied(Fill $fill): Fill
    {
        if ($this->style === null) {
            return $fill;
        }
        $before = $fill->toArray();
        $after = $this->walked($before);

        return $after === $before ? $fill : FillReader::read(Input::of($after));
    }

    /**
     * @param array<mixed> $value
     *
     * @return array<mixed>
     */
    private function walked(array $value): array
    {
        foreach ($value as $key => $part) {
            $value[$key] = match (true) {
                is_array($part) => $this->walked($part),
                is_string($part) && in_array($key, self::COLOURS, true) => $this->coloured($part),
                default => $part,
            };
        }
        $named = static fn (string $key): string => is_string($value[$key] ?? null) ? $value[$key] : '';
        $step = $this->style?->types[$named('type')] ?? null;
        $space = $this->style?->spaces[$named('space')] ?? null;
        $value = $space === null ? $value : array_replace($value, ['padding' => $space->px]);

        return $step === null
            ? $value
            : array_replace($value, $step->look(), ['min_size' => min($value['min_size'] ?? 1, $step->sizePx)]);
    }

    private function coloured(string $said): string
    {
        $id = explode('@#', $said)[0];
        $named = strlen($said) === strlen($id) + 8 ? $this->style?->colours[$id] ?? null : null;

        return $named === null ? $said : "$id@{$named->colour->hex}";
    }
}
