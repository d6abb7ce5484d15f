<?php

declare(strict_types=1);

namespace UpperPane\Core\Legibility\Qr;

/**
 * Codewords of correction: the remainder of the data by a generator polynomial over GF(2⁸) with 0x11D (ISO/IEC 18004
 * §7.5.2).
 */
final class ReedSolomon
{
    /**
     * @param list<int> $data
     *
     * @return array<int, int> so many, in order
     */
    public static function remainder(array $data, int $length): array
    {
        [$powers, $logs] = self::tables();
        $generator = self::generator($length);
        $rest = array_fill(0, $length, 0);
        foreach ($data as $word) {
            $factor = $word ^ $rest[0];
            $rest = [...array_slice($rest, 1), 0];
            if ($factor === 0) {
                continue;
            }
            foreach ($generator as $index => $log) {
                $rest[$index] ^= $powers[($log + $logs[$factor]) % 255];
            }
        }

        return $rest;
    }

    /** @return list<int> its coefficients as logarithms, without the leading one */
    private static function generator(int $length): array
    {
        [$powers, $logs] = self::tables();
        $terms = [1];
        for ($root = 0; $root < $length; ++$root) {
            $next = [...$terms, 0];
            foreach ($terms as $index => $term) {
                $next[$index + 1] ^= $powers[($logs[$term] + $root) % 255];
            }
            $terms = $next;
        }

        return array_map(static fn (int $term) => $logs[$term], array_slice($terms, 1));
    }

    /** @return array{list<int>, array<int, int>} the powers of 2, and to what power 2 gives a number */
    private static function tables(): array
    {
        $powers = $logs = [];
        for ($exponent = 0, $value = 1; $exponent < 255; ++$exponent) {
            $powers[] = $value;
            $logs[$value] = $exponent;
            $value = $value << 1 ^ ($value >= 128 ? 0x11D : 0);
        }

        return [$powers, $logs];
    }
}
