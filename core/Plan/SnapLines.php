<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Guide;
use UpperPane\Core\Layout\Lattice;
use UpperPane\Core\Layout\Placed;
use UpperPane\Core\Surface\Ground;

/**
 * The lines that a dragged line snaps to, with their order (model §3): of those near enough the lowest rank wins, of
 * equals the nearest.
 */
final class SnapLines
{
    private const RANKS = [
        'seam' => 0,
        'guide' => 0,
        'lattice' => 1,
        'centre' => 2,
        'third' => 3,
        'line' => 4,
        'safe' => 4,
        'edge' => 4,
        'float' => 4,
    ];

    /**
     * @param array<string, Placed> $placed by zone, of which the floats count
     * @param array<string, Guide>  $guides by id, of this canvas
     *
     * @return array<string, list<array{at: int, kind: string, rank: int, after: ?string}>> per axis; `after` names the
     *     mullion, the float or the guide that a line is of, so that it does not snap to itself
     */
    public static function of(
        Size $canvas,
        Glazing $glazing,
        ?Ground $ground,
        array $placed,
        ?Rect $safe,
        array $guides = [],
        ?Lattice $lattice = null,
    ): array {
        $snaps = [];
        foreach (Axis::cases() as $axis) {
            $length = $axis->lengthOf($canvas);
            $lines = [];
            foreach ($ground->seams ?? [] as $seam) {
                if ($seam->length($axis->other()) > $seam->length($axis)) {
                    $lines[] = self::line($seam->start($axis), 'seam');
                    $lines[] = self::line($seam->end($axis), 'seam');
                }
            }
            foreach ($guides as $id => $guide) {
                if ($guide->axis === $axis) {
                    $lines[] = self::line($guide->atPx, 'guide', (string) $id);
                }
            }
            foreach (array_slice($lattice?->edges($axis) ?? [], 1, -1) as $edge) {
                $lines[] = self::line($edge, 'lattice');
            }
            $lines[] = self::line(intdiv($length + 1, 2), 'centre');
            $lines[] = self::line(intdiv(2 * $length + 3, 6), 'third');
            $lines[] = self::line(intdiv(4 * $length + 3, 6), 'third');
            foreach ($glazing->mullions() as $mullion) {
                if ($mullion->axis === $axis) {
                    $lines[] = self::line($mullion->at, 'line', $mullion->partIds[1]);
                }
            }
            array_push($lines, self::line(0, 'edge'), self::line($length, 'edge'));
            if ($safe !== null) {
                array_push($lines, self::line($safe->start($axis), 'safe'), self::line($safe->end($axis), 'safe'));
            }
            foreach ($placed as $zone => $one) {
                $box = $one->box();
                foreach ($one->isFloat ? [0, 1, 2] : [] as $halves) {
                    $at = $box->start($axis) + intdiv($halves * $box->length($axis), 2);
                    $lines[] = self::line($at, 'float', $zone);
                }
            }
            $snaps[$axis->value] = array_values(array_unique($lines, \SORT_REGULAR));
        }

        return $snaps;
    }

    /** @return array{at: int, kind: string, rank: int, after: ?string} */
    private static function line(int $at, string $kind, ?string $after = null): array
    {
        return ['at' => $at, 'kind' => $kind, 'rank' => self::RANKS[$kind] ?? 0, 'after' => $after];
    }
}
