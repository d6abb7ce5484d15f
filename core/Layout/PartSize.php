<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;

/**
 * How long a part of a split is: `12px`, `10%` of the whole parent, `120mm`, or a share `3fr` of what is left.
 * The amount is held in thousandths of the unit.
 */
final readonly class PartSize
{
    private function __construct(public int $thousandths, public SizeUnit $unit)
    {
    }

    public static function px(int $px): self
    {
        return new self($px * 1000, SizeUnit::Px);
    }

    public static function fr(int $shares): self
    {
        return new self($shares * 1000, SizeUnit::Fr);
    }

    /**
     * @throws Refusal `glaze.size` for text that is no size: a number above 0 and at most 1,000,000, a unit, whole px
     *     and fr
     */
    public static function parse(Input $input): self
    {
        $text = $input->asText(24);
        if (preg_match('/^(\d{1,7})(?:\.(\d{1,3}))?(px|%|mm|fr)$/D', $text, $found) !== 1) {
            throw Refusal::because('glaze.size', $input->path, ['value' => $text]);
        }
        $thousandths = (int) $found[1] * 1000 + (int) str_pad($found[2], 3, '0');
        $unit = SizeUnit::from($found[3]);
        $whole = $unit === SizeUnit::Px || $unit === SizeUnit::Fr;
        if ($thousandths === 0 || $thousandths > 1_000_000_000 || ($whole && $thousandths % 1000 !== 0)) {
            throw Refusal::because('glaze.size', $input->path, ['value' => $text]);
        }

        return new self($thousandths, $unit);
    }

    /** From text that {@see toText()} wrote. */
    public static function stored(string $text): self
    {
        $unit = SizeUnit::from(str_ends_with($text, '%') ? '%' : substr($text, -2));
        [$whole, $rest] = explode('.', substr($text, 0, -strlen($unit->value))) + [1 => ''];

        return new self((int) $whole * 1000 + (int) str_pad($rest, 3, '0'), $unit);
    }

    /** The exact length in px that this size asks for, a share excepted. */
    public function idealPx(int $parentPx, ?Rational $pitchUm, string $path): Rational
    {
        return match ($this->unit) {
            SizeUnit::Px => Rational::of($this->thousandths, 1000),
            SizeUnit::Percent => Rational::of(Rational::product($this->thousandths, $parentPx), 100_000),
            SizeUnit::Mm => Rational::of($this->thousandths)->dividedBy(
                $pitchUm ?? throw Refusal::because('glaze.pitch_needed', $path),
            ),
            SizeUnit::Fr => throw new \LogicException('A share has no length of its own.'),
        };
    }

    public function isShare(): bool
    {
        return $this->unit === SizeUnit::Fr;
    }

    /** A share's number, or the px of a size in px. */
    public function whole(): int
    {
        return intdiv($this->thousandths, 1000);
    }

    /** The exact length of a size in px, or in mm where the pitch is known; null for what depends on the parent. */
    public function fixedPx(?Rational $pitchUm): ?Rational
    {
        return match ($this->unit) {
            SizeUnit::Px => Rational::of($this->whole()),
            SizeUnit::Mm => $pitchUm === null ? null : Rational::of($this->thousandths)->dividedBy($pitchUm),
            SizeUnit::Percent, SizeUnit::Fr => null,
        };
    }

    /** The same unit holding a new length of whole px, as nearly as three decimals can say it. */
    public function holdingPx(int $px, int $parentPx, ?Rational $pitchUm): self
    {
        return match ($this->unit) {
            SizeUnit::Px, SizeUnit::Fr => new self($px * 1000, $this->unit),
            SizeUnit::Percent => new self(
                Rational::of(Rational::product($px, 100_000), $parentPx)->round(),
                $this->unit,
            ),
            SizeUnit::Mm => $pitchUm === null
                ? self::px($px)
                : new self($pitchUm->times(Rational::of($px))->round(), $this->unit),
        };
    }

    /** Design px to px on another surface; other units stay. */
    public function scaled(Rational $scale): self
    {
        return $this->unit === SizeUnit::Px
            ? self::px(max(1, $scale->times(Rational::of($this->whole()))->round()))
            : $this;
    }

    public function toText(): string
    {
        $whole = intdiv($this->thousandths, 1000);
        $rest = $this->thousandths % 1000;

        return $whole.($rest === 0 ? '' : '.'.rtrim(sprintf('%03d', $rest), '0')).$this->unit->value;
    }
}
