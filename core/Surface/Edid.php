<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/**
 * What a display says of itself: VESA E-EDID release A, versions 1.3 and 1.4 (older ones accepted with a note), blocks
 * of 128 bytes, each with a checksum. The native mode is the first detailed timing descriptor (E-EDID 1.4 §3.10.2);
 * extension blocks such as CTA-861's are only checked.
 */
final readonly class Edid
{
    public const LARGEST_BYTES = 256 * self::BLOCK;
    private const BLOCK = 128;
    private const HEADER = "\x00\xFF\xFF\xFF\xFF\xFF\xFF\x00";
    private const FIRST_DESCRIPTOR = 54;
    private const DESCRIPTOR = 18;
    private const NAME_TAG = 0xFC;

    /** @param ?array{int, int} $activeMm */
    private function __construct(
        public string $maker,
        public int $product,
        public string $name,
        public Size $native,
        public Rational $refreshHz,
        public ?array $activeMm,
        public ?string $sizeFrom,
        public string $version,
        public int $blocks,
    ) {
    }

    /**
     * @throws Refusal `edid.empty`, `edid.too_large`, `edid.not_edid`, `edid.truncated`, `edid.checksum`,
     *     `edid.version`,
     *                 `edid.no_timing`
     */
    public static function read(string $bytes): self
    {
        self::refuseBroken($bytes);
        $byte = static fn (int $at) => ord($bytes[$at]);
        $timing = substr($bytes, self::FIRST_DESCRIPTOR, self::DESCRIPTOR);
        if ($byte(self::FIRST_DESCRIPTOR) === 0 && $byte(self::FIRST_DESCRIPTOR + 1) === 0) {
            throw Refusal::because('edid.no_timing');
        }
        [$native, $refresh, $timingMm] = self::timing($timing);
        [$mm, $from] = self::sizeMm($timingMm, [$byte(21), $byte(22)]);

        return new self(
            self::maker(($byte(8) << 8) | $byte(9)),
            $byte(10) | ($byte(11) << 8),
            self::name($bytes),
            $native,
            $refresh,
            $mm,
            $from,
            $byte(18).'.'.$byte(19),
            intdiv(strlen($bytes), self::BLOCK),
        );
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return array_values(
            array_filter([
                version_compare($this->version, '1.3', '<')
                    ? Finding::of('edid.older', Severity::Note, '/version', ['version' => $this->version])
                    : null,
                $this->activeMm === null ? Finding::of('edid.no_size', Severity::Caution, '/active_mm') : null,
            ]),
        );
    }

    /** @return array<string, mixed> as `bin/pane edid` prints it */
    public function toArray(): array
    {
        return [
            'maker' => $this->maker,
            'product' => $this->product,
            'name' => $this->name,
            'native' => $this->native->toArray(),
            'refresh_hz' => $this->refreshHz->decimal(2),
            'active_mm' => $this->activeMm,
            'size_from' => $this->sizeFrom,
            'version' => $this->version,
            'blocks' => $this->blocks,
        ];
    }

    private static function refuseBroken(string $bytes): void
    {
        $length = strlen($bytes);
        if ($length === 0) {
            throw Refusal::because('edid.empty');
        }
        if ($length > self::LARGEST_BYTES) {
            throw Refusal::because('edid.too_large', '', ['bytes' => $length, 'most' => self::LARGEST_BYTES]);
        }
        if (substr($bytes, 0, 8) !== substr(self::HEADER, 0, min(8, $length))) {
            throw Refusal::because('edid.not_edid');
        }
        $wanted = $length < self::BLOCK ? self::BLOCK : self::BLOCK * (1 + ord($bytes[126]));
        if ($length % self::BLOCK !== 0 || $length < $wanted) {
            throw Refusal::because('edid.truncated', '', ['bytes' => $length, 'wanted' => $wanted]);
        }
        foreach (str_split($bytes, self::BLOCK) as $index => $block) {
            $sum = array_sum(array_map(ord(...), str_split($block))) % 256;
            if ($sum !== 0) {
                throw Refusal::because('edid.checksum', '', [
                    'block' => $index,
                    'given' => sprintf('%02X', ord($block[127])),
                    'right' => sprintf('%02X', (ord($block[127]) - $sum + 256) % 256),
                ]);
            }
        }
        if (ord($bytes[18]) !== 1) {
            throw Refusal::because('edid.version', '', ['version' => ord($bytes[18]).'.'.ord($bytes[19])]);
        }
    }

    /**
     * Detailed timing descriptor: pixel clock in 10 kHz, active and blanking px in 12 bits, image size in mm in 12
     * bits, bit 7 of the flags for interlace (E-EDID 1.4 §3.10.2, table 3.21).
     *
     * @return array{Size, Rational, array{int, int}} native px, refresh in Hz, size in mm
     */
    private static function timing(string $descriptor): array
    {
        $byte = static fn (int $at) => ord($descriptor[$at]);
        $clockHz = ($byte(0) | ($byte(1) << 8)) * 10_000;
        $width = $byte(2) | (($byte(4) & 0xF0) << 4);
        $height = $byte(5) | (($byte(7) & 0xF0) << 4);
        $total = ($width + ($byte(3) | (($byte(4) & 0x0F) << 8))) * ($height + ($byte(6) | (($byte(7) & 0x0F) << 8)));
        $interlaced = ($byte(17) & 0x80) !== 0;
        if ($width === 0 || $height === 0) {
            throw Refusal::because('edid.no_timing');
        }
        $totalWidth = $width + ($byte(3) | (($byte(4) & 0x0F) << 8));
        $perField = $interlaced ? Rational::of(2 * $total + $totalWidth, 2) : Rational::of($total);

        return [
            Size::of($width, $interlaced ? 2 * $height : $height),
            Rational::of($clockHz)->dividedBy($perField),
            [$byte(12) | (($byte(14) & 0xF0) << 4), $byte(13) | (($byte(14) & 0x0F) << 8)],
        ];
    }

    /**
     * The timing's size if within 10 mm per axis of the cm bytes, else these; a cm byte of 0 makes the pair a ratio,
     * and then the timing's size counts from 50 mm on. Displays are known to put a ratio where mm belong (model §2).
     *
     * @param array{int, int} $timingMm
     * @param array{int, int} $cm
     *
     * @return array{?array{int, int}, ?string}
     */
    private static function sizeMm(array $timingMm, array $cm): array
    {
        if ($cm[0] === 0 || $cm[1] === 0) {
            return min($timingMm) >= 50 ? [$timingMm, 'timing'] : [null, null];
        }
        $near = abs($timingMm[0] - 10 * $cm[0]) <= 10 && abs($timingMm[1] - 10 * $cm[1]) <= 10;

        return $near ? [$timingMm, 'timing'] : [[10 * $cm[0], 10 * $cm[1]], 'cm_bytes'];
    }

    /** Three letters of five bits, A = 1 (E-EDID 1.4 §3.4.1). */
    private static function maker(int $packed): string
    {
        return implode('', array_map(static fn (int $shift) => chr(64 + (($packed >> $shift) & 0x1F)), [10, 5, 0]));
    }

    /** The display product name descriptor, up to a line feed (E-EDID 1.4 §3.10.3.4); empty when there is none. */
    private static function name(string $bytes): string
    {
        for (
            $at = self::FIRST_DESCRIPTOR;
            $at < self::FIRST_DESCRIPTOR + 4 * self::DESCRIPTOR;
            $at += self::DESCRIPTOR
        ) {
            if (substr($bytes, $at, 3) === "\0\0\0" && ord($bytes[$at + 3]) === self::NAME_TAG) {
                $text = substr($bytes, $at + 5, 13);
                $end = strpos($text, "\n");

                return (string) preg_replace(
                    '/[^\x20-\x7E]/',
                    '?',
                    rtrim($end === false ? $text : substr($text, 0, $end)),
                );
            }
        }

        return '';
    }
}
