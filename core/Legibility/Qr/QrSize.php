<?php

declare(strict_types=1);

namespace UpperPane\Core\Legibility\Qr;

/**
 * A version of the symbol, 1 to 40, at a level of correction: how many modules and codewords it has (ISO/IEC 18004,
 * tables 1 and 9; from memory, held against decoders and the published capacities).
 */
final readonly class QrSize
{
    public const LARGEST = 40;

    /** Codewords of correction in each block, by level, version 1 first. */
    private const CORRECTION = [
        'L' => '7 10 15 20 26 18 20 24 30 18 20 24 26 30 22 24 28 30 28 28 28 28 30 30 26 28 30 30 30 30 30 30 30 30 30 '.
            '30 30 30 30 30',
        'M' => '10 16 26 18 24 16 18 22 22 26 30 22 22 24 24 28 28 26 26 26 26 28 28 28 28 28 28 28 28 28 28 28 28 28 28 '.
            '28 28 28 28 28',
        'Q' => '13 22 18 26 18 24 18 22 20 24 28 26 24 20 30 24 28 28 26 30 28 30 30 30 30 28 30 30 30 30 30 30 30 30 30 '.
            '30 30 30 30 30',
        'H' => '17 28 22 16 22 28 26 26 24 28 24 28 22 24 24 30 28 28 26 28 30 24 30 30 30 30 30 30 30 30 30 30 30 30 30 '.
            '30 30 30 30 30',
    ];
    private const BLOCKS = [
        'L' => '1 1 1 1 1 2 2 2 2 4 4 4 4 4 6 6 6 6 7 8 8 9 9 10 12 12 12 13 14 15 16 17 18 19 19 20 21 22 24 25',
        'M' => '1 1 1 2 2 4 4 4 5 5 5 8 9 9 10 10 11 13 14 16 17 17 18 20 21 23 25 26 28 29 31 33 35 37 38 40 43 45 47 '.
            '49',
        'Q' => '1 1 2 2 4 4 6 6 8 8 8 10 12 16 12 17 16 18 21 20 23 23 25 27 29 34 34 35 38 40 43 45 48 51 53 56 59 62 '.
            '65 68',
        'H' => '1 1 2 4 4 4 5 6 8 8 11 11 16 16 18 16 19 21 25 25 25 34 30 32 35 37 40 42 45 48 51 54 57 60 63 66 70 74 '.
            '77 81',
    ];

    private function __construct(
        public int $version,
        public QrLevel $level,
        public int $correction,
        public int $blocks,
    ) {
    }

    public static function of(int $version, QrLevel $level): self
    {
        return new self(
            $version,
            $level,
            (int) explode(' ', self::CORRECTION[$level->value])[$version - 1],
            (int) explode(' ', self::BLOCKS[$level->value])[$version - 1],
        );
    }

    /** Modules along one side, without the quiet zone. */
    public function side(): int
    {
        return 17 + 4 * $this->version;
    }

    /** All codewords: the modules that no pattern takes, by eight. */
    public function codewords(): int
    {
        $modules = (16 * $this->version + 128) * $this->version + 64;
        if ($this->version >= 2) {
            $aligned = count($this->alignment());
            $modules -= (25 * $aligned - 10) * $aligned - 55;
        }

        return intdiv($this->version >= 7 ? $modules - 36 : $modules, 8);
    }

    /** Codewords that carry data. */
    public function capacity(): int
    {
        return $this->codewords() - $this->correction * $this->blocks;
    }

    /**
     * Where alignment patterns have their middle, along either side (ISO/IEC 18004, annex E: evenly spread by even
     * steps from the last one back).
     *
     * @return list<int>
     */
    public function alignment(): array
    {
        if ($this->version === 1) {
            return [];
        }
        $count = intdiv($this->version, 7) + 2;
        $step = $this->version === 32 ? 26 : intdiv(4 * $this->version + 2 * $count + 1, 2 * $count - 2) * 2;
        $places = [6];
        for ($place = $this->side() - 7 - ($count - 2) * $step; count($places) < $count; $place += $step) {
            $places[] = $place;
        }

        return $places;
    }
}
