<?php

declare(strict_types=1);

namespace UpperPane\Core\Geometry;

use UpperPane\Core\Base\Refusal;

/**
 * An exact fraction of 64-bit integers in lowest terms, the denominator positive. Every layout decision is made on these,
 * never on floats. An overflow is refused: PHP would turn it into a float silently.
 */
final readonly class Rational
{
    private function __construct(public int $numerator, public int $denominator)
    {
    }

    /** @throws Refusal `number.too_large` beyond 64 bits */
    public static function of(int $numerator, int $denominator = 1): self
    {
        if ($denominator === 0) {
            throw new \DivisionByZeroError('A fraction needs a denominator other than 0.');
        }
        $common = self::gcd(abs($numerator), abs($denominator)) * ($denominator < 0 ? -1 : 1);

        return new self(intdiv($numerator, $common), intdiv($denominator, $common));
    }

    public static function gcd(int $a, int $b): int
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return max($a, 1);
    }

    public static function product(int $a, int $b): int
    {
        $product = $a * $b;
        // @phpstan-ignore function.alreadyNarrowedType (PHP turns an overflow into a float)
        if (!is_int($product)) {
            throw Refusal::because('number.too_large');
        }

        return $product;
    }

    public static function sum(int $a, int $b): int
    {
        $sum = $a + $b;
        // @phpstan-ignore function.alreadyNarrowedType (PHP turns an overflow into a float)
        if (!is_int($sum)) {
            throw Refusal::because('number.too_large');
        }

        return $sum;
    }

    public function plus(self $other): self
    {
        return self::of(
            self::sum(self::product($this->numerator, $other->denominator), self::product($other->numerator, $this->denominator)),
            self::product($this->denominator, $other->denominator),
        );
    }

    public function minus(self $other): self
    {
        return $this->plus(new self(-$other->numerator, $other->denominator));
    }

    public function times(self $other): self
    {
        return self::of(self::product($this->numerator, $other->numerator), self::product($this->denominator, $other->denominator));
    }

    public function dividedBy(self $other): self
    {
        return $this->times(self::of($other->denominator, $other->numerator));
    }

    public function compare(self $other): int
    {
        return self::product($this->numerator, $other->denominator) <=> self::product($other->numerator, $this->denominator);
    }

    public function absolute(): self
    {
        return new self(abs($this->numerator), $this->denominator);
    }

    public function floor(): int
    {
        $quotient = intdiv($this->numerator, $this->denominator);

        return $this->numerator < 0 && $quotient * $this->denominator !== $this->numerator ? $quotient - 1 : $quotient;
    }

    public function ceil(): int
    {
        return -(new self(-$this->numerator, $this->denominator))->floor();
    }

    /** floor(q + ½), also below zero (model §1). */
    public function round(): int
    {
        return $this->plus(new self(1, 2))->floor();
    }

    /** The cell of one ruler under the centre of a cell of another of the same length: floor((2c + 1)·to ÷ 2·from). */
    public static function cellUnder(int $cell, int $from, int $to): int
    {
        return self::of((2 * $cell + 1) * $to, 2 * $from)->floor();
    }

    /** For output only: half up to so many decimals. */
    public function decimal(int $decimals): float|int
    {
        $scale = 10 ** $decimals;
        $value = $this->times(self::of($scale))->round() / $scale;

        return is_float($value) && floor($value) === $value ? (int) $value : $value;
    }
}
