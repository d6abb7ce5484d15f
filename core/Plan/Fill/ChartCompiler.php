<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Fill;

use UpperPane\Core\Design\Fill\ChartFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Text\FontFace;

/**
 * Charts as paths and lines of text in thousandths of a px, so that every renderer draws the same. Bars begin at zero;
 * a line and a gauge go from the least to the most; letters shrink until the widest fits where it stands.
 *
 * @phpstan-type Word array{text: string, x_mpx: int, y_mpx: int, width_mpx: int, size: int, line_mpx: int}
 * @phpstan-type Figure array{path: string, colour: string, line_mpx: int}
 */
final readonly class ChartCompiler
{
    private const LINE = 1250;
    /** Of a bar's place that the bar takes, in percent (common practice). */
    private const BAR = 70;
    private const GAUGE_WIDTH = 22;

    public function __construct(private PlanContext $context)
    {
    }

    public function chart(ChartFill $fill, Size $box): Item
    {
        $face = $this->context->fonts->face($fill->font, $fill->weight);
        $padding = min($this->context->px($fill->paddingPx), intdiv(min($box->width, $box->height) - 1, 2));
        $inner = [1000 * ($box->width - 2 * $padding), 1000 * ($box->height - 2 * $padding)];
        [$figures, $words] = $fill->rows === [] ? [[], []] : match ($fill->form) {
            'bars' => $this->bars($fill, $face, $inner),
            'line' => $this->line($fill, $face, $inner),
            'gauge' => $this->gauge($fill, $face, $inner),
            default => $this->figure($fill, $face, $inner),
        };
        $move = 1000 * $padding;

        return new Item(
            $fill,
            [
                'kind' => 'chart',
                'font' => $fill->font,
                'weight' => $fill->weight,
                'colour' => $fill->ink->hex,
                'ground' => $fill->ground?->hex,
                'box_mpx' => [-$move, -$move, 1000 * $box->width, 1000 * $box->height],
                'figures' => $figures,
                'words' => array_map(
                    static fn (array $word) => [
                        'x_mpx' => $word['x_mpx'] + $move,
                        'y_mpx' => $word['y_mpx'] + $move,
                    ] + $word,
                    $words,
                ),
            ],
            smallestPx: $words === [] ? null : min(array_column($words, 'size')),
        );
    }

    /**
     * @param array{int, int} $inner
     *
     * @return array{list<Figure>, list<Word>}
     */
    private function bars(ChartFill $fill, FontFace $face, array $inner): array
    {
        [$width, $height] = $inner;
        $count = count($fill->rows);
        $place = intdiv($width, $count);
        $texts = [...array_column($fill->rows, 0), ...self::values($fill)];
        $size = $this->fitting($fill, $face, $texts, $place, intdiv($height, 6));
        $line = $size * self::LINE;
        [$least, $most] = [min([0, ...array_column($fill->rows, 2)]), max([0, ...array_column($fill->rows, 2)])];
        // Above the highest, below the deepest, and for the labels.
        $below = $line * ($least < 0 ? 2 : 1);
        $room = max(1, $height - $line - $below);
        $at = static fn (int $value) => $line + self::share($room, $most - $value, $most - $least);
        $figures = $words = [];
        foreach ($fill->rows as $index => [$label, , $value]) {
            $bar = intdiv($place * self::BAR, 100);
            $left = $index * $place + intdiv($place - $bar, 2);
            [$top, $bottom] = [min($at($value), $at(0)), max($at($value), $at(0))];
            $figures[] = [
                'path' => "M$left $top h$bar V$bottom h-$bar Z",
                'colour' => ($index === $count - 1 ? $fill->accent : $fill->colour)->hex,
                'line_mpx' => 0,
            ];
            $middle = $index * $place + intdiv($place, 2);
            $over = $value < 0 ? $bottom : $top - $line;
            $words[] = self::word($face, self::values($fill)[$index], $middle, $over, $size);
            $words[] = self::word($face, $label, $middle, $height - $line, $size);
        }

        return [$figures, $words];
    }

    /**
     * @param array{int, int} $inner
     *
     * @return array{list<Figure>, list<Word>}
     */
    private function line(ChartFill $fill, FontFace $face, array $inner): array
    {
        [$width, $height] = $inner;
        $count = count($fill->rows);
        $place = intdiv($width, $count);
        $texts = [...array_column($fill->rows, 0), ...self::values($fill)];
        $size = $this->fitting($fill, $face, $texts, $place, intdiv($height, 6));
        $line = $size * self::LINE;
        $values = array_column($fill->rows, 2);
        [$least, $most] = $values === [] ? [0, 0] : [min($values), max($values)];
        $thick = max(2000, intdiv($size * 1000, 8));
        $room = max(1, $height - 2 * $line - 4 * $thick);
        $points = $words = [];
        foreach ($fill->rows as $index => [$label, , $value]) {
            $x = $index * $place + intdiv($place, 2);
            $deep = $most === $least ? intdiv($room, 2) : self::share($room, $most - $value, $most - $least);
            $y = $line + 2 * $thick + $deep;
            $points[] = "$x $y";
            $words[] = self::word($face, self::values($fill)[$index], $x, $y - $line - 2 * $thick, $size);
            $words[] = self::word($face, $label, $x, $height - $line, $size);
        }
        $dots = array_map(
            static function (string $point, int $index) use ($fill, $thick, $count): array {
                [$x, $y] = array_map(intval(...), explode(' ', $point));
                [$left, $right, $radius] = [$x - 2 * $thick, $x + 2 * $thick, 2 * $thick];

                return [
                    'path' => "M$left $y A$radius $radius 0 1 1 $right $y A$radius $radius 0 1 1 $left $y Z",
                    'colour' => ($index === $count - 1 ? $fill->accent : $fill->colour)->hex,
                    'line_mpx' => 0,
                ];
            },
            $points,
            array_keys($points),
        );
        $path = ['path' => 'M'.implode(' L', $points), 'colour' => $fill->colour->hex, 'line_mpx' => $thick];

        return [[$path, ...$dots], $words];
    }

    /**
     * Half a ring, of which the last value fills its part.
     *
     * @param array{int, int} $inner
     *
     * @return array{list<Figure>, list<Word>}
     */
    private function gauge(ChartFill $fill, FontFace $face, array $inner): array
    {
        [$width, $height] = $inner;
        $last = count($fill->rows) - 1;
        [$label, , $value] = $fill->rows[$last];
        $small = $this->fitting($fill, $face, [$label], $width, intdiv($height, 4));
        $line = $small * self::LINE;
        $outer = min(intdiv($width, 2), max(1, $height - $line));
        $thick = intdiv($outer * self::GAUGE_WIDTH, 100);
        $radius = $outer - intdiv($thick, 2);
        [$x, $y] = [intdiv($width, 2), $outer + intdiv(max(0, $height - $line - $outer), 2)];
        $share = max(0, min(1, ($value - $fill->least) / ($fill->most - $fill->least)));
        $end = static fn (float $part): string => (int) round($x - $radius * cos(\M_PI * $part)).' '.
            (int) round($y - $radius * sin(\M_PI * $part));
        $arc = static fn (float $part): string => "M{$end(0)} A$radius $radius 0 0 1 {$end($part)}";
        $figures = [['path' => $arc(1), 'colour' => $fill->colour->hex, 'line_mpx' => $thick]];
        if ($share > 0) {
            $figures[] = ['path' => $arc($share), 'colour' => $fill->accent->hex, 'line_mpx' => $thick];
        }
        $said = self::values($fill)[$last];
        $large = $this->fitting($fill, $face, [$said], 2 * ($radius - $thick), intdiv(2 * $outer, 3), 3);

        return [
            $figures,
            [
                self::word($face, $said, $x, $y - $large * self::LINE, $large),
                self::word($face, $label, $x, $y, $small),
            ],
        ];
    }

    /**
     * The last value, with its change from the one before.
     *
     * @param array{int, int} $inner
     *
     * @return array{list<Figure>, list<Word>}
     */
    private function figure(ChartFill $fill, FontFace $face, array $inner): array
    {
        [$width, $height] = $inner;
        $last = count($fill->rows) - 1;
        [$label, , $value] = $fill->rows[$last];
        $said = self::values($fill)[$last];
        $before = $last > 0 ? $fill->rows[$last - 1][2] : null;
        $change = $before === null || $before === 0
            ? null
            : Rational::of(100 * ($value - $before), abs($before))->plain(1);
        $percent = ($value > $before ? '+' : '').str_replace('-', '−', (string) $change).' %';
        // With room on both sides for the arrow.
        $texts = [$label, ...$change === null ? [] : ["MM{$percent}MM"]];
        $small = $this->fitting($fill, $face, $texts, $width, intdiv($height, 4));
        $line = $small * self::LINE;
        $lines = $change === null ? 1 : 2;
        $large = $this->fitting($fill, $face, [$said], $width, $height - $lines * $line, 6);
        $top = intdiv(max(0, $height - $large * self::LINE - $lines * $line), 2);
        $middle = intdiv($width, 2);
        $words = [
            self::word($face, $label, $middle, $top, $small),
            self::word($face, $said, $middle, $top + $line, $large),
        ];
        if ($change === null) {
            return [[], $words];
        }
        $y = $top + $line + $large * self::LINE;
        $word = self::word($face, $percent, $middle, $y, $small);
        $side = $small * 700;
        $x = $word['x_mpx'] - intdiv($side * 3, 2);
        $foot = $y + intdiv($line + $side, 2);
        [$head, $half, $far] = [$foot - $side, $x + intdiv($side, 2), $x + $side];
        $path = $value >= $before
            ? "M$x $foot L$half $head L$far $foot Z"
            : "M$x $head L$half $foot L$far $head Z";
        $arrow = [['path' => $path, 'colour' => $fill->accent->hex, 'line_mpx' => 0]];

        return [$value === $before ? [] : $arrow, [...$words, $word]];
    }

    /** @return list<string> as they are said, with their unit */
    private static function values(ChartFill $fill): array
    {
        $unit = $fill->unit === '' ? '' : " $fill->unit";

        return array_map(static fn (array $row) => str_replace('-', '−', $row[1]).$unit, $fill->rows);
    }

    /**
     * The largest size, at most so many times the style's, at which each text is at most nine tenths as wide as its
     * place, since widths grow with the size, and a line at most so high.
     *
     * @param list<string> $texts
     */
    private function fitting(
        ChartFill $fill,
        FontFace $face,
        array $texts,
        int $placeMpx,
        int $heightMpx,
        int $times = 1,
    ): int {
        $widest = max([1, ...array_map($face->widthUnits(...), $texts)]);
        $most = intdiv($placeMpx * 9 * $face->unitsPerEm(), 10_000 * $widest);

        return max(1, min($times * $this->context->px($fill->sizePx), $most, intdiv($heightMpx, self::LINE)));
    }

    private static function share(int $room, int $part, int $of): int
    {
        return $of === 0 ? 0 : Rational::of($room, $of)->times(Rational::of($part))->round();
    }

    /** @return Word centred on x */
    private static function word(FontFace $face, string $text, int $x, int $y, int $size): array
    {
        $width = $face->widthPx($text, $size)->thousandths();

        return [
            'text' => $text,
            'x_mpx' => $x - intdiv($width, 2),
            'y_mpx' => $y,
            'width_mpx' => $width,
            'size' => $size,
            'line_mpx' => $size * self::LINE,
        ];
    }
}
