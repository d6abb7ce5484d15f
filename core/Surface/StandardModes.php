<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

/**
 * Picture sizes that standards name: VESA DMT 1.13 by id, CTA-861 by video identification code (VIC), and SMPTE ST 274
 * (1920×1080), ST 296 (1280×720), ST 2036-1 (UHDTV) and ST 2048-1 (2048×1080, 4096×2160); SMPTE numbers from memory.
 */
final class StandardModes
{
    /** @var list<array{int, int, ?int, ?int, ?string}> width, height, DMT id, VIC, SMPTE standard */
    private const MODES = [
        [640, 480, 0x04, 1, null],
        [800, 600, 0x09, null, null],
        [1024, 768, 0x10, null, null],
        [1280, 720, 0x55, 4, 'ST 296'],
        [1280, 768, 0x17, null, null],
        [1280, 800, 0x1C, null, null],
        [1280, 1024, 0x23, null, null],
        [1360, 768, 0x27, null, null],
        [1366, 768, 0x51, null, null],
        [1400, 1050, 0x2A, null, null],
        [1440, 900, 0x2F, null, null],
        [1600, 900, 0x53, null, null],
        [1600, 1200, 0x33, null, null],
        [1680, 720, null, 83, null],
        [1680, 1050, 0x3A, null, null],
        [1920, 1080, 0x52, 16, 'ST 274'],
        [1920, 1200, 0x45, null, null],
        [2048, 1080, null, null, 'ST 2048-1'],
        [2048, 1152, 0x54, null, null],
        [2560, 1080, null, 90, null],
        [2560, 1600, 0x4D, null, null],
        [3840, 2160, null, 97, 'ST 2036-1'],
        [4096, 2160, 0x58, 102, 'ST 2048-1'],
        [5120, 2160, null, 126, null],
        [7680, 4320, null, 199, 'ST 2036-1'],
    ];

    /**
     * @return list<array{px: array{int, int}, dmt: ?int, vic: ?int, smpte: ?string, name: string}> landscape, by width
     */
    public static function all(): array
    {
        $all = [];
        foreach (self::MODES as [$width, $height, $dmt, $vic, $smpte]) {
            $names = array_filter([
                $dmt === null ? null : sprintf('VESA DMT %02Xh', $dmt),
                $vic === null ? null : "CTA-861 VIC $vic",
                $smpte === null ? null : "SMPTE $smpte",
            ]);

            $all[] = [
                'px' => [$width, $height],
                'dmt' => $dmt,
                'vic' => $vic,
                'smpte' => $smpte,
                'name' => implode(', ', $names),
            ];
        }

        return $all;
    }
}
