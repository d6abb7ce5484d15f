<?php

declare(strict_types=1);

namespace UpperPane\Core\Legibility\Qr;

/** The modules of a symbol: patterns first, data in the rest, then a mask over the data (ISO/IEC 18004 §6.3, §7.7). */
final class QrMatrix
{
    /** @var array<int, array<int, int>> by row and column, 1 is dark */
    private array $dark;
    /** @var array<int, array<int, bool>> what belongs to a pattern */
    private array $fixed;
    private int $side;

    private function __construct(private readonly QrSize $size)
    {
        $this->side = $size->side();
        $this->dark = array_fill(0, $this->side, array_fill(0, $this->side, 0));
        $this->fixed = array_fill(0, $this->side, array_fill(0, $this->side, false));
    }

    public static function of(QrSize $size): self
    {
        $matrix = new self($size);
        $last = $matrix->side - 7;
        for ($at = 0; $at < $matrix->side; ++$at) {
            $matrix->put(6, $at, 1 - $at % 2);
            $matrix->put($at, 6, 1 - $at % 2);
        }
        foreach ([[0, 0], [0, $last], [$last, 0]] as [$row, $column]) {
            $matrix->square($row + 3, $column + 3, 4);
        }
        $places = $size->alignment();
        foreach ($places as $row) {
            foreach ($places as $column) {
                if (!(($row === 6 && ($column === 6 || $column === $last)) || ($row === $last && $column === 6))) {
                    $matrix->square($row, $column, 2);
                }
            }
        }
        $matrix->format(0);
        $matrix->version();

        return $matrix;
    }

    /**
     * By columns of two from the right, upwards and downwards in turn, past the upright timing pattern.
     *
     * @param list<int> $codewords
     */
    public function filled(array $codewords): self
    {
        $bits = implode('', array_map(static fn (int $word) => sprintf('%08b', $word), $codewords));
        $next = 0;
        for ($right = $this->side - 1, $up = true; $right >= 1; $right -= 2, $up = !$up) {
            $right = $right === 6 ? 5 : $right;
            for ($step = 0; $step < $this->side; ++$step) {
                $row = $up ? $this->side - 1 - $step : $step;
                foreach ([$right, $right - 1] as $column) {
                    if (!$this->fixed[$row][$column]) {
                        $this->dark[$row][$column] = (int) ($bits[$next++] ?? 0);
                    }
                }
            }
        }

        return $this;
    }

    /** @return list<string> under the mask that makes it easiest to read (§7.8.3) */
    public function masked(): array
    {
        $best = [];
        $least = \PHP_INT_MAX;
        foreach (range(0, 7) as $mask) {
            $rows = $this->under($mask);
            $penalty = QrPenalty::of($rows);
            if ($penalty < $least) {
                [$best, $least] = [$rows, $penalty];
            }
        }

        return $best;
    }

    /** @return list<string> */
    private function under(int $mask): array
    {
        $this->format($mask);
        $rows = [];
        foreach ($this->dark as $y => $row) {
            $line = '';
            foreach ($row as $x => $dark) {
                $line .= $this->fixed[$y][$x] ? $dark : $dark ^ (int) self::turns($mask, $y, $x);
            }
            $rows[] = $line;
        }

        return $rows;
    }

    private static function turns(int $mask, int $y, int $x): bool
    {
        return match ($mask) {
            0 => ($y + $x) % 2,
            1 => $y % 2,
            2 => $x % 3,
            3 => ($y + $x) % 3,
            4 => (intdiv($y, 2) + intdiv($x, 3)) % 2,
            5 => $y * $x % 2 + $y * $x % 3,
            6 => ($y * $x % 2 + $y * $x % 3) % 2,
            default => (($y + $x) % 2 + $y * $x % 3) % 2,
        } === 0;
    }

    /** A square of rings about its middle, dark but for the ring at 2 and, of finders, the one around them. */
    private function square(int $middleRow, int $middleColumn, int $reach): void
    {
        for ($y = -$reach; $y <= $reach; ++$y) {
            for ($x = -$reach; $x <= $reach; ++$x) {
                $ring = max(abs($y), abs($x));
                $light = $reach === 4 ? $ring === 2 || $ring === 4 : $ring === 1;
                $this->put($middleRow + $y, $middleColumn + $x, $light ? 0 : 1);
            }
        }
    }

    /** Level and mask, twice, with BCH(15,5) and its mask (§7.9). */
    private function format(int $mask): void
    {
        $data = $this->size->level->bits() << 3 | $mask;
        $bits = ($data << 10 | self::remainder($data, 10, 0x537)) ^ 0x5412;
        for ($index = 0; $index < 15; ++$index) {
            $bit = $bits >> $index & 1;
            $this->put($index < 6 ? $index : ($index < 8 ? $index + 1 : $this->side - 15 + $index), 8, $bit);
            $this->put(8, $index < 8 ? $this->side - 1 - $index : ($index === 8 ? 7 : 14 - $index), $bit);
        }
        $this->put($this->side - 8, 8, 1);
    }

    /** From version 7 on, twice, with BCH(18,6) (§7.10). */
    private function version(): void
    {
        if ($this->size->version < 7) {
            return;
        }
        $bits = $this->size->version << 12 | self::remainder($this->size->version, 12, 0x1F25);
        for ($index = 0; $index < 18; ++$index) {
            [$along, $across] = [intdiv($index, 3), $this->side - 11 + $index % 3];
            $this->put($along, $across, $bits >> $index & 1);
            $this->put($across, $along, $bits >> $index & 1);
        }
    }

    private static function remainder(int $data, int $length, int $generator): int
    {
        $rest = $data;
        for ($step = 0; $step < $length; ++$step) {
            $rest = $rest << 1 ^ ($rest >> $length - 1) * $generator;
        }

        return $rest;
    }

    private function put(int $row, int $column, int $dark): void
    {
        if ($row >= 0 && $column >= 0 && $row < $this->side && $column < $this->side) {
            $this->dark[$row][$column] = $dark;
            $this->fixed[$row][$column] = true;
        }
    }
}
