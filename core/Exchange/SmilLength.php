<?php

declare(strict_types=1);

namespace UpperPane\Core\Exchange;

use UpperPane\Core\Geometry\Rational;

/**
 * Where a region lies along one axis of its parent: start, length and end, each in px or %, or `auto` (SMIL 3.0 §7.4.4,
 * which follows CSS 2 §10.3.7 and §10.6.4; the end gives way when all three are given).
 */
final readonly class SmilLength
{
    /** @param array{?string, ?string, ?string} $given start, length, end as written; null for none */
    private function __construct(private array $given)
    {
    }

    public static function of(?string $start, ?string $length, ?string $end): self
    {
        return new self([$start, $length, $end]);
    }

    /** @return ?array{Rational, Rational} exact start and length in px; null for what is no length */
    public function within(Rational $parentPx): ?array
    {
        $px = [];
        foreach ($this->given as $index => $text) {
            $px[$index] = self::px($text, $parentPx);
            if ($px[$index] === false) {
                return null;
            }
        }
        [$start, $length, $end] = $px;
        $start ??= match (true) {
            $length === null || $end === null => Rational::of(0),
            default => $parentPx->minus($length)->minus($end),
        };
        $length ??= $parentPx->minus($start)->minus($end ?? Rational::of(0));

        return $length->compare(Rational::of(0)) < 0 ? null : [$start, $length];
    }

    /** @return Rational|false|null null for `auto`, false for what is no length */
    private static function px(?string $text, Rational $parentPx): Rational|false|null
    {
        $text = trim((string) $text);
        if ($text === '' || $text === 'auto') {
            return null;
        }
        if (preg_match('/^([+-]?)(?=\.?\d)(\d{0,7})(?:\.(\d{1,6}))?\s*(px|%)?$/D', $text, $found) !== 1) {
            return false;
        }
        $value = Rational::of((int) ($found[2].($found[3] ?? '')), 10 ** strlen($found[3] ?? ''));
        $value = $found[1] === '-' ? Rational::of(0)->minus($value) : $value;

        return ($found[4] ?? '') === '%' ? $value->times($parentPx)->dividedBy(Rational::of(100)) : $value;
    }
}
