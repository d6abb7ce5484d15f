<?php

declare(strict_types=1);

namespace UpperPane\Core\Legibility\Qr;

use UpperPane\Core\Base\Refusal;

/**
 * A text as bits (ISO/IEC 18004 §7.4): digits by threes, the 45 signs by twos, all else as UTF-8 bytes, which anything
 * beyond ASCII says of itself (ECI 26).
 */
final readonly class QrData
{
    private const SIGNS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ $%*+-./:';
    private const DIGITS = '0001';
    private const FEW_SIGNS = '0010';
    private const UTF_8 = '011100011010';

    /** @param list<int> $countBits how long the count is in versions 1–9, 10–26, 27–40 */
    private function __construct(
        private string $before,
        private string $mode,
        private array $countBits,
        private int $count,
        private string $bits,
    ) {
    }

    public static function of(string $text): self
    {
        return match (true) {
            preg_match('/^[0-9]+$/D', $text) === 1 => new self(
                '',
                self::DIGITS,
                [10, 12, 14],
                strlen($text),
                implode('', array_map(
                    static fn (string $part) => self::bits((int) $part, 3 * strlen($part) + 1),
                    str_split($text, 3),
                )),
            ),
            preg_match('#^[0-9A-Z $%*+./:-]+$#D', $text) === 1 => new self(
                '',
                self::FEW_SIGNS,
                [9, 11, 13],
                strlen($text),
                implode('', array_map(self::pair(...), str_split($text, 2))),
            ),
            default => new self(
                preg_match('/[^\x00-\x7F]/', $text) === 1 ? self::UTF_8 : '',
                '0100',
                [8, 16, 16],
                strlen($text),
                implode('', array_map(static fn (string $byte) => self::bits(ord($byte), 8), str_split($text))),
            ),
        };
    }

    /** The smallest version that holds it. */
    public function size(QrLevel $level): ?QrSize
    {
        for ($version = 1; $version <= QrSize::LARGEST; ++$version) {
            $size = QrSize::of($version, $level);
            if (strlen($this->head($size)) + strlen($this->bits) <= 8 * $size->capacity()) {
                return $size;
            }
        }

        return null;
    }

    /** How much a level can hold at most of what this is: digits, signs or bytes. */
    public function most(QrLevel $level): int
    {
        $size = QrSize::of(QrSize::LARGEST, $level);
        $bits = 8 * $size->capacity() - strlen($this->head($size));

        return match ($this->mode) {
            self::DIGITS => 3 * intdiv($bits, 10) + ($bits % 10 >= 7 ? 2 : ($bits % 10 >= 4 ? 1 : 0)),
            self::FEW_SIGNS => 2 * intdiv($bits, 11) + ($bits % 11 >= 6 ? 1 : 0),
            default => intdiv($bits, 8),
        };
    }

    public function count(): int
    {
        return $this->count;
    }

    /**
     * The codewords of data: ended, filled up to whole bytes, then padded.
     *
     * @return list<int>
     *
     * @throws Refusal never: the size was found for it
     */
    public function codewords(QrSize $size): array
    {
        $most = 8 * $size->capacity();
        $bits = $this->head($size).$this->bits;
        $bits .= str_repeat('0', min(4, $most - strlen($bits)));
        $bits .= str_repeat('0', (8 - strlen($bits) % 8) % 8);
        $words = array_map(bindec(...), str_split($bits, 8));
        for ($pad = 0xEC; count($words) < $size->capacity(); $pad ^= 0xEC ^ 0x11) {
            $words[] = $pad;
        }

        return array_map(intval(...), $words);
    }

    private function head(QrSize $size): string
    {
        $length = $this->countBits[$size->version < 10 ? 0 : ($size->version < 27 ? 1 : 2)];

        return $this->before.$this->mode.self::bits($this->count, $length);
    }

    private static function pair(string $signs): string
    {
        $first = (int) strpos(self::SIGNS, $signs[0]);

        return strlen($signs) === 1
            ? self::bits($first, 6)
            : self::bits(45 * $first + (int) strpos(self::SIGNS, $signs[1]), 11);
    }

    private static function bits(int $value, int $length): string
    {
        return str_pad(decbin($value), $length, '0', \STR_PAD_LEFT);
    }
}
