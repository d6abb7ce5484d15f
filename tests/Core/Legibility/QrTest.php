<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Legibility;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Legibility\Qr\QrCode;
use UpperPane\Core\Legibility\Qr\QrLevel;

/** What a decoder cannot tell: how much a version holds, and the light around it. Decoded in the suite Outside. */
final class QrTest extends TestCase
{
    /** Bytes that a version holds (ISO/IEC 18004, table 7, as obtained in checks.md). */
    private const MOST_BYTES = [
        'L' => [1 => 17, 10 => 271, 40 => 2953],
        'M' => [1 => 14, 10 => 213, 40 => 2331],
        'Q' => [1 => 11, 10 => 151, 40 => 1663],
        'H' => [1 => 7, 10 => 119, 40 => 1273],
    ];

    public function testAVersionHoldsWhatTheStandardSays(): void
    {
        foreach (self::MOST_BYTES as $level => $versions) {
            foreach ($versions as $version => $most) {
                $code = QrCode::of(str_repeat('a', $most), QrLevel::from($level));
                self::assertSame([$version, 17 + 4 * $version + 8], [$code->version, $code->side]);
                if ($version < 40) {
                    self::assertSame(
                        $version + 1,
                        QrCode::of(str_repeat('a', $most + 1), QrLevel::from($level))->version,
                    );
                }
            }
            try {
                QrCode::of(str_repeat('a', $most + 1), QrLevel::from($level), '/text');
                self::fail('a byte too many');
            } catch (Refusal $refusal) {
                self::assertSame(
                    ['qr.too_long', '/text', $most],
                    [$refusal->refusalCode, $refusal->path, $refusal->params['most']],
                );
            }
        }
    }

    /** How much of each kind the largest holds (ISO/IEC 18004, table 7); what is not ASCII says so in twelve bits. */
    public function testSaysHowMuchOfItsKindItHolds(): void
    {
        foreach (['7' => 7089, 'A' => 4296, 'a' => 2953, 'ä' => 2952] as $sign => $most) {
            $fits = str_repeat((string) $sign, $sign === 'ä' ? intdiv($most, 2) : $most);
            self::assertSame(40, QrCode::of($fits, QrLevel::L)->version);
            try {
                QrCode::of($fits.$sign, QrLevel::L);
                self::fail('it fits');
            } catch (Refusal $refusal) {
                self::assertSame($most, $refusal->params['most']);
            }
        }
    }

    /** Each mask is the best one of some text; bits 12 to 10 of the format say which (§7.9.1, beside the finder). */
    public function testAnyMaskMayBeTheBest(): void
    {
        $masks = [];
        for ($text = 0; $text < 150; ++$text) {
            $code = QrCode::of(strtoupper(md5("pier $text")), QrLevel::M);
            $masks[bindec(substr($code->rows[12], 6, 3)) ^ 0b101] = true;
        }
        ksort($masks);

        self::assertSame(range(0, 7), array_keys($masks));
    }

    /** Four light modules on every side, and dark finders right behind them (§5.3.8, §6.3.3). */
    public function testTheQuietZoneIsPartOfIt(): void
    {
        $code = QrCode::of('https://harrowmere.example/tides', QrLevel::Q);
        self::assertCount($code->side, $code->rows);
        foreach ($code->rows as $index => $row) {
            self::assertSame($code->side, strlen($row));
            $isEdge = $index < 4 || $index >= $code->side - 4;
            self::assertSame($isEdge ? str_repeat('0', $code->side) : '0000', substr($row, 0, $isEdge ? null : 4));
            self::assertSame('0000', substr($row, -4));
        }
        self::assertSame('00001111111', substr($code->rows[4], 0, 11));
        self::assertSame('11111110000', substr($code->rows[4], -11));
    }
}
