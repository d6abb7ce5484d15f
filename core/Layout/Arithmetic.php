<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;

/**
 * What people type into a field for a length: `1920/3`, `50%-8`, `2*(120mm+4px)`. A bare number counts as px where a
 * length is wanted. Sums and differences of units are kept apart; only a number multiplies or divides.
 *
 *     sum     = product { ("+" | "-") product }
 *     product = factor { ("*" | "/") factor }
 *     factor  = number [ unit ] | "(" sum ")" | "-" factor
 */
final class Arithmetic
{
    private const MOST_SIGNS = 80;
    private int $at = 0;

    /** @param list<string> $tokens */
    private function __construct(
        private readonly string $text,
        private readonly string $path,
        private readonly array $tokens,
    ) {
    }

    /**
     * @param string $path where the text stands, for refusals
     *
     * @return array<string, Rational> amounts by unit, `` for bare numbers; none is 0
     *
     * @throws Refusal `arithmetic.text`, `arithmetic.zero` (divided by 0), `arithmetic.units` (lengths multiplied)
     */
    public static function amounts(string $text, string $path): array
    {
        $found = strlen($text) <= self::MOST_SIGNS
            ? preg_match_all('~\G\s*(\d{1,9}(?:[.,]\d{1,6})?|px|%|mm|fr|[-+*/()×÷])\s*~u', $text, $tokens)
            : 0;
        if ($found === 0 || $found === false || implode('', $tokens[0]) !== $text) {
            throw Refusal::because('arithmetic.text', $path, ['value' => $text]);
        }
        $self = new self($text, $path, $tokens[1]);
        $sum = $self->sum(0);
        if ($self->at !== count($tokens[1])) {
            throw $self->wrong();
        }

        return array_filter($sum, static fn (Rational $amount) => $amount->compare(Rational::of(0)) !== 0);
    }

    /** Whether there is anything to reckon: not so in what is a number and a unit. */
    public static function isWanted(string $text): bool
    {
        return preg_match('~^-?\d+([.,]\d+)?(px|%|mm|fr)$~D', $text) !== 1;
    }

    /** @return array<string, Rational> */
    private function sum(int $depth): array
    {
        $sum = $this->product($depth);
        while (in_array($this->next(), ['+', '-'], true)) {
            $sign = Rational::of($this->take() === '+' ? 1 : -1);
            foreach ($this->product($depth) as $unit => $amount) {
                $sum[$unit] = ($sum[$unit] ?? Rational::of(0))->plus($amount->times($sign));
            }
        }

        return $sum;
    }

    /** @return array<string, Rational> */
    private function product(int $depth): array
    {
        $product = $this->factor($depth);
        while (in_array($this->next(), ['*', '/', '×', '÷'], true)) {
            $divides = in_array($this->take(), ['/', '÷'], true);
            $by = $this->factor($depth);
            if ($divides || !$this->isNumber($product)) {
                $number = $this->isNumber($by) ? $by[''] : throw $this->units();
            } else {
                [$product, $number] = [$by, $product['']];
            }
            if ($divides && $number->compare(Rational::of(0)) === 0) {
                throw Refusal::because('arithmetic.zero', $this->path, ['value' => $this->text]);
            }
            $product = array_map(
                static fn (Rational $amount) => $divides ? $amount->dividedBy($number) : $amount->times($number),
                $product,
            );
        }

        return $product;
    }

    /** @return array<string, Rational> */
    private function factor(int $depth): array
    {
        $token = $this->take();
        if ($depth > 20) {
            throw $this->wrong();
        }
        if ($token === '-') {
            return array_map(
                static fn (Rational $amount) => $amount->times(Rational::of(-1)),
                $this->factor($depth + 1),
            );
        }
        if ($token === '(') {
            $sum = $this->sum($depth + 1);

            return $this->take() === ')' ? $sum : throw $this->wrong();
        }
        if (!ctype_digit($token[0] ?? '')) {
            throw $this->wrong();
        }
        [$whole, $rest] = explode('.', strtr($token, ',', '.')) + [1 => ''];
        $number = Rational::of((int) ($whole.$rest), 10 ** strlen($rest));

        return [in_array($this->next(), ['px', '%', 'mm', 'fr'], true) ? $this->take() : '' => $number];
    }

    /** @param array<string, Rational> $amounts */
    private function isNumber(array $amounts): bool
    {
        return array_keys($amounts) === [''];
    }

    private function next(): string
    {
        return $this->tokens[$this->at] ?? '';
    }

    private function take(): string
    {
        return $this->tokens[$this->at++] ?? '';
    }

    private function wrong(): Refusal
    {
        return Refusal::because('arithmetic.text', $this->path, ['value' => $this->text]);
    }

    private function units(): Refusal
    {
        return Refusal::because('arithmetic.units', $this->path, ['value' => $this->text]);
    }
}
