<?php

declare(strict_types=1);

namespace UpperPane\Core\Legibility\Qr;

use UpperPane\Core\Base\Refusal;

/** A QR code of the smallest version that holds its text (ISO/IEC 18004), with the mask that the standard prefers. */
final readonly class QrCode
{
    /** Light modules that are to stand around it (§5.3.8). */
    public const QUIET = 4;
    /** So many bytes are never more than the largest code holds at its weakest. */
    public const LONGEST = 7089;

    /**
     * @param int          $side modules along one side, the quiet zone included
     * @param list<string> $rows of `0` and `1`, 1 is dark
     */
    private function __construct(public int $version, public QrLevel $level, public int $side, public array $rows)
    {
    }

    /** @throws Refusal `qr.too_long`, `qr.empty` */
    public static function of(string $text, QrLevel $level, string $path = ''): self
    {
        if ($text === '') {
            throw Refusal::because('qr.empty', $path);
        }
        $data = QrData::of($text);
        $size =
            $data->size($level) ??
            throw Refusal::because('qr.too_long', $path, [
                'bytes' => $data->count(),
                'most' => $data->most($level),
                'level' => $level->value,
            ]);
        $modules = QrMatrix::of($size)->filled(self::interleaved($data->codewords($size), $size))->masked();
        $empty = str_repeat('0', $size->side() + 2 * self::QUIET);
        $beside = str_repeat('0', self::QUIET);
        $around = array_fill(0, self::QUIET, $empty);

        return new self($size->version, $level, strlen($empty), [
            ...$around,
            ...array_map(static fn (string $row) => $beside.$row.$beside, $modules),
            ...$around,
        ]);
    }

    /** As a drawing of its own, one unit per module. */
    public function svg(): string
    {
        $path = '';
        foreach ($this->rows as $y => $row) {
            preg_match_all('/1+/', $row, $runs, \PREG_OFFSET_CAPTURE);
            foreach ($runs[0] as [$run, $x]) {
                $path .= "M$x {$y}h".strlen($run)."v1H{$x}z";
            }
        }

        $head = 'xmlns="http://www.w3.org/2000/svg" shape-rendering="crispEdges"';

        return "<svg $head viewBox=\"0 0 $this->side $this->side\">".
            "<rect width=\"$this->side\" height=\"$this->side\" fill=\"#FFFFFF\"/>".
            "<path d=\"$path\" fill=\"#000000\"/></svg>";
    }

    /**
     * In blocks, of which the last ones are a codeword longer, each with its correction; the first words of all blocks,
     * then the second ones, and so on (§7.6).
     *
     * @param list<int> $data
     *
     * @return list<int>
     */
    private static function interleaved(array $data, QrSize $size): array
    {
        $short = intdiv(count($data), $size->blocks);
        $firstLong = $size->blocks - count($data) % $size->blocks;
        $blocks = $corrections = [];
        for ($block = 0, $at = 0; $block < $size->blocks; ++$block) {
            $blocks[] = array_slice($data, $at, $short + ($block >= $firstLong ? 1 : 0));
            $at += count($blocks[$block]);
            $corrections[] = ReedSolomon::remainder($blocks[$block], $size->correction);
        }

        return [...self::across($blocks, $short + 1), ...self::across($corrections, $size->correction)];
    }

    /**
     * @param list<array<int, int>> $blocks
     *
     * @return list<int>
     */
    private static function across(array $blocks, int $length): array
    {
        $words = [];
        for ($index = 0; $index < $length; ++$index) {
            foreach ($blocks as $block) {
                if (isset($block[$index])) {
                    $words[] = $block[$index];
                }
            }
        }

        return $words;
    }
}
