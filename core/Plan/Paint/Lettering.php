<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

use UpperPane\Core\Plan\Item;

/**
 * The letters of an item, by their colours, read from what is drawn. How wide a part of a line is that has a colour of
 * its own goes by its share of the letters.
 *
 * @phpstan-import-type Line from \UpperPane\Core\Plan\Fill\TextCompiler
 *
 * @phpstan-type Look array{size: int, line_mpx: int, colour: string, lines?: list<Line>, words?: list<Line>,
 *     box_mpx?: array{int, int, int, int}, align?: string, outline?: array{colour: string},
 *     gradient?: array{to: string, angle: int, rect_mpx: array{int, int, int, int}},
 *     ticker?: array{from_mpx: array{int, int}, to_mpx: array{int, int}}}
 */
final class Lettering
{
    /** Whether there may be letters. */
    public static function isWritten(Item $item): bool
    {
        foreach ([$item, ...array_column($item->parts, 'item')] as $one) {
            if (in_array($one->drawing['kind'], ['text', 'clock', 'count', 'chart'], true)
                || isset($one->drawing['label'])) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Letters> */
    public static function of(Item $item): array
    {
        /** @var Look $drawing */
        $drawing = $item->drawing;
        switch ($item->drawing['kind']) {
            case 'text':
                return self::lines($drawing, $drawing['lines'] ?? []);
            case 'clock':
            case 'count':
                return self::lines($drawing, self::oneLine($drawing, $item));
            case 'chart':
                return self::words($drawing);
            case 'shape':
                return self::label($item);
            default:
                return [];
        }
    }

    /**
     * @param Look       $look
     * @param list<Line> $lines
     *
     * @return list<Letters>
     */
    private static function lines(array $look, array $lines): array
    {
        $boxes = $inks = [];
        foreach ($lines as $line) {
            $all = max(1, mb_strlen($line['text'] ?? ''));
            $x = $line['x_mpx'];
            foreach ($line['parts'] ?? [['text' => $line['text'] ?? '-']] as $part) {
                $width = isset($line['parts'])
                    ? intdiv($line['width_mpx'] * mb_strlen($part['text']), $all)
                    : $line['width_mpx'];
                if ($width > 0 && trim($part['text']) !== '') {
                    $own = $part['colour'] ?? '';
                    $boxes[$own][] = Box::ofMpx([$x, $line['y_mpx'], $width, $look['line_mpx']]);
                    $inks[$own] = $own === '' ? self::ink($look) : Blend::plain($own);
                }
                $x += $width;
            }
        }
        $letters = [];
        foreach ($boxes as $own => $of) {
            $letters[] = new Letters(
                self::wherever($look, $of),
                $look['size'],
                $inks[$own],
                isset($look['outline']) ? Paint::ofHex($look['outline']['colour']) : null,
                isset($look['ticker']),
            );
        }

        return $letters;
    }

    /** @param Look $look */
    private static function ink(array $look): Blend
    {
        $gradient = $look['gradient'] ?? null;

        return $gradient === null
            ? Blend::plain($look['colour'])
            : Blend::through(
                Box::ofMpx($gradient['rect_mpx']),
                $look['colour'],
                $gradient['to'],
                $gradient['angle'],
            );
    }

    /**
     * What runs through its box comes by all along its way.
     *
     * @param Look      $look
     * @param list<Box> $lines
     *
     * @return list<Box>
     */
    private static function wherever(array $look, array $lines): array
    {
        if (!isset($look['ticker'])) {
            return $lines;
        }
        $across = $look['ticker']['from_mpx'][1] === $look['ticker']['to_mpx'][1];
        [$from, $to] = [$look['ticker']['from_mpx'], $look['ticker']['to_mpx']];

        return array_map(
            static fn (Box $line) => $across
                ? Box::of(min($from[0], $to[0]) / 1000, $line->y, abs($from[0] - $to[0]) / 1000, $line->height)
                : Box::of($line->x, min($from[1], $to[1]) / 1000, $line->width, abs($from[1] - $to[1]) / 1000),
            $lines,
        );
    }

    /**
     * As wide as it gets, where it is aligned to in its box.
     *
     * @param Look $look
     *
     * @return list<Line>
     */
    private static function oneLine(array $look, Item $item): array
    {
        if (!isset($look['box_mpx']) || $item->set === null) {
            return [];
        }
        [$x, $y, $room] = $look['box_mpx'];
        $width = $item->set->widthPx()->thousandths();
        $aside = match ($look['align'] ?? 'left') {
            'left' => 0,
            'right' => $room - $width,
            default => intdiv($room - $width, 2),
        };

        return [['x_mpx' => $x + $aside, 'y_mpx' => $y, 'width_mpx' => $width]];
    }

    /**
     * @param Look $look
     *
     * @return list<Letters>
     */
    private static function words(array $look): array
    {
        $letters = [];
        foreach ($look['words'] ?? [] as $word) {
            /** @var Look $own */
            $own = $word + $look;
            array_push($letters, ...self::lines($own, [$word]));
        }

        return $letters;
    }

    /** @return list<Letters> */
    private static function label(Item $item): array
    {
        /** @var array{label?: Look} $drawing */
        $drawing = $item->drawing;
        /** @var array{label?: array{rect_mpx: array{int, int, int, int}}} $where */
        $where = $item->drawing;
        if (!isset($drawing['label'], $where['label'])) {
            return [];
        }
        [$x, $y] = $where['label']['rect_mpx'];

        return array_map(
            static fn (Letters $letters) => $letters->movedBy($x / 1000, $y / 1000),
            self::lines($drawing['label'], $drawing['label']['lines'] ?? []),
        );
    }
}
