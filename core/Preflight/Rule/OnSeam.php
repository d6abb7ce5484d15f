<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Rule;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\ItemRule;

/** Letters or a marked face on a seam, where the public sees a bar or a joint through them; on butted walls too. */
final class OnSeam extends ItemRule
{
    protected function judge(Item $item, ZonePlan $zone): ?Finding
    {
        if ($zone->seams === []) {
            return null;
        }
        $code = $item->fill instanceof MediaFill ? 'seam.face' : 'seam.text';
        foreach ($item->fill instanceof MediaFill ? self::faces($item, $item->fill) : self::lines($item) as $box) {
            foreach ($zone->seams as $seam) {
                if (
                    self::meet(
                        Rect::of(
                            $box->x + 1000 * $zone->rect->x,
                            $box->y + 1000 * $zone->rect->y,
                            $box->width,
                            $box->height,
                        ),
                        $seam,
                    )
                ) {
                    return $this->finding($code, Severity::Caution, $zone, $item, [
                        'panels' => implode(', ', $zone->panels),
                    ]);
                }
            }
        }

        return null;
    }

    /** A seam without width lies on a box only when it runs through its inside. */
    private static function meet(Rect $boxMpx, Rect $seam): bool
    {
        return 1000 * $seam->x < $boxMpx->right()
            && 1000 * $seam->right() > $boxMpx->x
            && 1000 * $seam->y < $boxMpx->bottom()
            && 1000 * $seam->bottom() > $boxMpx->y;
    }

    /**
     * @return list<Rect> where letters stand, in thousandths of a px of the zone: the size's height, in the middle of
     *     each line
     */
    private static function lines(Item $item): array
    {
        /**
         * @var array{kind?: string, size?: int, line_mpx?: int, align?: string,
         *     lines?: list<array{x_mpx: int, y_mpx: int, width_mpx: int}>, box_mpx?: array{int, int, int, int}}
         *     $drawing
         */
        $drawing = $item->drawing;
        $height = 1000 * ($drawing['size'] ?? 0);
        $lead = intdiv(($drawing['line_mpx'] ?? 0) - $height, 2);
        $boxes = array_map(
            static fn (array $line) => Rect::of($line['x_mpx'], $line['y_mpx'] + $lead, $line['width_mpx'], $height),
            $drawing['lines'] ?? [],
        );
        if (isset($drawing['box_mpx']) && $item->set !== null) {
            [$x, $y, $room] = $drawing['box_mpx'];
            $width = $item->set->widthPx()->thousandths();
            $left = match ($drawing['align'] ?? 'left') {
                'left' => 0,
                'right' => $room - $width,
                default => intdiv($room - $width, 2),
            };
            $boxes[] = Rect::of($x + $left, $y + $lead, $width, $height);
        }

        return $boxes;
    }

    /** @return list<Rect> the marked faces where they are drawn, in thousandths of a px of the zone */
    private static function faces(Item $item, MediaFill $fill): array
    {
        $drawn = $item->fit?->drawn;
        if ($drawn === null) {
            return [];
        }
        $along = static fn (Rational $start, Rational $length, int $ppm) => $start
            ->plus($length->times(Rational::of($ppm, 1_000_000)))
            ->times(Rational::of(1000))
            ->round();

        return array_map(static function (Rect $face) use ($drawn, $along): Rect {
            [$x, $y] = [$along($drawn[0], $drawn[2], $face->x), $along($drawn[1], $drawn[3], $face->y)];

            return Rect::of(
                $x,
                $y,
                $along($drawn[0], $drawn[2], $face->right()) - $x,
                $along($drawn[1], $drawn[3], $face->bottom()) - $y,
            );
        }, $fill->faces);
    }
}
