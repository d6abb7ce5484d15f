<?php

declare(strict_types=1);

namespace UpperPane\Core\Geometry;

use Brick\Math\BigInteger;
use UpperPane\Core\Base\Refusal;

/**
 * An exact fraction in lowest terms, the denominator positive. Every layout decision is made on these, never on floats.
 * What fits is held in 64-bit integers; a step that does not fit goes on in big integers, so that no sum, share or
 * comparison is refused or rounded on the way. Only a whole result beyond 64 bits is refused: `number.too_large`.
 */
final readonly class Rational
{
    private function __construct(private int|BigInteger $numerator, private int|BigInteger $denominator)
    {
    }

    public static function of(int $numerator, int $denominator = 1): self
    {
        // Most numbers are whole: they are in lowest terms.
        if ($denominator === 1 && $numerator !== \PHP_INT_MIN) {
            return new self($numerator, 1);
        }
        if ($denominator === 0) {
            throw new \DivisionByZeroError('A fraction needs a denominator other than 0.');
        }
        if ($numerator === \PHP_INT_MIN || $denominator === \PHP_INT_MIN) {
            return self::big(BigInteger::of($numerator), BigInteger::of($denominator));
        }
        $common = self::gcd(abs($numerator), abs($denominator)) * ($denominator < 0 ? -1 : 1);

        return new self(intdiv($numerator, $common), intdiv($denominator, $common));
    }

    public static function gcd(int $a, int $b): int
    {
        while ($b !== 0) {
            $rest = $a % $b;
            $a = $b;
            $b = $rest;
        }

        return max($a, 1);
    }

    /** @throws Refusal `number.too_large` beyond 64 bits */
    public static function product(int $a, int $b): int
    {
        $product = $a * $b;

        // @phpstan-ignore function.alreadyNarrowedType (PHP turns an overflow into a float)
        return is_int($product) ? $product : throw Refusal::because('number.too_large');
    }

    /** @throws Refusal `number.too_large` beyond 64 bits */
    public static function sum(int $a, int $b): int
    {
        $sum = $a + $b;

        // @phpstan-ignore function.alreadyNarrowedType (PHP turns an overflow into a float)
        return is_int($sum) ? $sum : throw Refusal::because('number.too_large');
    }

    public function plus(self $other): self
    {
        if (
            is_int($this->numerator)
            && is_int($this->denominator)
            && is_int($other->numerator)
            && is_int($other->denominator)
        ) {
            $common = self::gcd($this->denominator, $other->denominator);
            $numerator =
                $this->numerator * intdiv($other->denominator, $common) +
                $other->numerator * intdiv($this->denominator, $common);
            $denominator = $this->denominator * intdiv($other->denominator, $common);
            // @phpstan-ignore function.alreadyNarrowedType, function.alreadyNarrowedType (overflow makes a float)
            if (is_int($numerator) && is_int($denominator)) {
                return self::of($numerator, $denominator);
            }
        }
        [$a, $b, $c, $d] = [...$this->bigs(), ...$other->bigs()];

        return self::big($a->multipliedBy($d)->plus($c->multipliedBy($b)), $b->multipliedBy($d));
    }

    public function minus(self $other): self
    {
        return $this->plus($other->negated());
    }

    public function times(self $other): self
    {
        if (
            is_int($this->numerator)
            && is_int($this->denominator)
            && is_int($other->numerator)
            && is_int($other->denominator)
        ) {
            $numerator = $this->numerator * $other->numerator;
            $denominator = $this->denominator * $other->denominator;
            // @phpstan-ignore function.alreadyNarrowedType, function.alreadyNarrowedType (overflow makes a float)
            if (is_int($numerator) && is_int($denominator)) {
                return self::of($numerator, $denominator);
            }
        }
        [$a, $b, $c, $d] = [...$this->bigs(), ...$other->bigs()];

        return self::big($a->multipliedBy($c), $b->multipliedBy($d));
    }

    public function dividedBy(self $other): self
    {
        return $this->times($other->inverted());
    }

    /** Below 0, 0 or above 0, as this is less than, equal to or more than the other. */
    public function compare(self $other): int
    {
        if (
            is_int($this->numerator)
            && is_int($this->denominator)
            && is_int($other->numerator)
            && is_int($other->denominator)
        ) {
            $left = $this->numerator * $other->denominator;
            $right = $other->numerator * $this->denominator;
            // @phpstan-ignore function.alreadyNarrowedType, function.alreadyNarrowedType (overflow makes a float)
            if (is_int($left) && is_int($right)) {
                return $left <=> $right;
            }
        }
        [$a, $b, $c, $d] = [...$this->bigs(), ...$other->bigs()];

        return $a->multipliedBy($d)->compareTo($c->multipliedBy($b));
    }

    public function absolute(): self
    {
        return $this->compare(self::of(0)) < 0 ? $this->negated() : $this;
    }

    /** @throws Refusal `number.too_large` beyond 64 bits */
    public function floor(): int
    {
        if (is_int($this->numerator) && is_int($this->denominator)) {
            $quotient = intdiv($this->numerator, $this->denominator);

            return $this->numerator < 0 && $quotient * $this->denominator !== $this->numerator
                ? $quotient - 1
                : $quotient;
        }
        [$numerator, $denominator] = $this->bigs();
        [$quotient, $rest] = $numerator->quotientAndRemainder($denominator);
        $floor = $rest->isNegative() ? $quotient->minus(1) : $quotient;

        return self::fits($floor) ? $floor->toInt() : throw Refusal::because('number.too_large');
    }

    /** @throws Refusal `number.too_large` beyond 64 bits */
    public function ceil(): int
    {
        return -$this->negated()->floor();
    }

    /** In thousandths, to the nearest whole one: how plans write px. */
    public function thousandths(): int
    {
        return $this->times(self::of(1000))->round();
    }

    /**
     * floor(q + ½), also below zero (model §1).
     *
     * @throws Refusal `number.too_large` beyond 64 bits
     */
    public function round(): int
    {
        return $this->plus(new self(1, 2))->floor();
    }

    /** The cell of one ruler under the centre of a cell of another of the same length: floor((2c + 1)·to ÷ 2·from). */
    public static function cellUnder(int $cell, int $from, int $to): int
    {
        return self::of(2 * $cell + 1, 2 * $from)
            ->times(self::of($to))
            ->floor();
    }

    /** For formulas that are not rational, such as tangents. */
    public function toFloat(): float
    {
        [$numerator, $denominator] = $this->bigs();

        return $numerator->toFloat() / $denominator->toFloat();
    }

    /** As a scale is read: `3:2`. */
    public function toRatio(): string
    {
        return "$this->numerator:$this->denominator";
    }

    /** For output only: half up to so many decimals. */
    public function decimal(int $decimals): float|int
    {
        $scale = 10 ** $decimals;
        $value = $this->times(self::of($scale))->round() / $scale;

        return is_float($value) && floor($value) === $value ? (int) $value : $value;
    }

    /** For output only: `-12.345`, without an exponent, rounded half up to so many decimals, without trailing zeros. */
    public function plain(int $decimals): string
    {
        $parts = $this->times(self::of(10 ** $decimals))->round();
        $digits = str_pad((string) abs($parts), $decimals + 1, '0', \STR_PAD_LEFT);
        $rest = rtrim(substr($digits, -$decimals), '0');

        return ($parts < 0 ? '-' : '').substr($digits, 0, -$decimals).($rest === '' ? '' : ".$rest");
    }

    private function negated(): self
    {
        return is_int($this->numerator)
            ? new self(-$this->numerator, $this->denominator)
            : self::big($this->numerator->negated(), $this->bigs()[1]);
    }

    private function inverted(): self
    {
        return is_int($this->numerator) && is_int($this->denominator)
            ? self::of($this->denominator, $this->numerator)
            : self::big(...array_reverse($this->bigs()));
    }

    /** @return array{BigInteger, BigInteger} */
    private function bigs(): array
    {
        return [BigInteger::of($this->numerator), BigInteger::of($this->denominator)];
    }

    private static function big(BigInteger $numerator, BigInteger $denominator): self
    {
        if ($denominator->isZero()) {
            throw new \DivisionByZeroError('A fraction needs a denominator other than 0.');
        }
        $common = $numerator->gcd($denominator);
        $common = $denominator->isNegative() ? $common->negated() : $common;
        [$numerator, $denominator] = [$numerator->quotient($common), $denominator->quotient($common)];
        $small = self::fits($numerator) && self::fits($denominator);

        return $small ? new self($numerator->toInt(), $denominator->toInt()) : new self($numerator, $denominator);
    }

    /** Leaves the least integer out, so that every int held can be negated. */
    private static function fits(BigInteger $value): bool
    {
        return $value->abs()->isLessThanOrEqualTo(\PHP_INT_MAX);
    }
}
