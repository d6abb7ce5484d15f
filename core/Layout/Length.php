<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;

/** A length of a float along one axis: `-40px` or `12.5%` of its frame, held in thousandths of the unit. */
final readonly class Length
{
    private const MOST_THOUSANDTHS = 100_000_000;

    private function __construct(private int $thousandths, private SizeUnit $unit)
    {
    }

    /** @throws Refusal `length.far` */
    public static function px(int $px): self
    {
        return self::within($px * 1000, SizeUnit::Px);
    }

    /**
     * To the thousandth of a px.
     *
     * @throws Refusal `length.far` beyond what can be written and read back
     */
    public static function ofPx(Rational $px): self
    {
        return self::within($px->thousandths(), SizeUnit::Px);
    }

    /** @throws Refusal `length.far` */
    private static function within(int $thousandths, SizeUnit $unit): self
    {
        return abs($thousandths) <= self::MOST_THOUSANDTHS
            ? new self($thousandths, $unit)
            : throw Refusal::because('length.far', '', [
                'value' => Rational::of($thousandths, 1000)->plain(0).$unit->value,
            ]);
    }

    /**
     * @throws Refusal `length.text` for text that is no length: a number with up to 3 decimals, within ±100,000, and px
     *     or %
     */
    public static function parse(Input $input): self
    {
        $text = $input->asText(24);
        if (preg_match('/^(-?)(\d{1,6})(?:\.(\d{1,3}))?(px|%)$/D', $text, $found) !== 1) {
            throw Refusal::because('length.text', $input->path, ['value' => $text]);
        }
        $thousandths = (int) $found[2] * 1000 + (int) str_pad($found[3], 3, '0');
        if ($thousandths > self::MOST_THOUSANDTHS) {
            throw Refusal::because('length.text', $input->path, ['value' => $text]);
        }

        return new self($found[1] === '-' ? -$thousandths : $thousandths, SizeUnit::from($found[4]));
    }

    /** The exact px along a frame of so many px; px of the design are multiplied by `scale` and rounded first. */
    public function in(int $framePx, ?Rational $scale = null): Rational
    {
        return match (true) {
            $this->unit === SizeUnit::Percent => Rational::of(Rational::product($this->thousandths, $framePx), 100_000),
            $scale === null => Rational::of($this->thousandths, 1000),
            default => Rational::of($scale->times(Rational::of($this->thousandths, 1000))->round()),
        };
    }

    /**
     * The same unit holding other px of a frame, as nearly as three decimals can say it.
     *
     * @throws Refusal `length.far`
     */
    public function holding(Rational $px, int $framePx): self
    {
        return $this->unit === SizeUnit::Percent
            ? self::within($px->times(Rational::of(100_000, $framePx))->round(), $this->unit)
            : self::ofPx($px);
    }

    public function isPositive(): bool
    {
        return $this->thousandths > 0;
    }

    public function toText(): string
    {
        return Rational::of($this->thousandths, 1000)->plain(3).$this->unit->value;
    }
}
