<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

/**
 * Left to right, then top to bottom, by panel centre; two panels are in one row when their centres differ by less than
 * half the height of the lower of the two (model §2, common practice). In µm, so that no px is rounded first.
 */
final class Numbering
{
    /**
     * @param list<array{int, int, int, int}> $facesUm left, top, width, height
     *
     * @return list<int> the indexes in the order of their numbers
     */
    public static function order(array $facesUm): array
    {
        $open = array_keys($facesUm);
        $twiceCentre = static fn (int $i, int $axis) => 2 * $facesUm[$i][$axis] + $facesUm[$i][$axis + 2];
        usort(
            $open,
            static fn (int $a, int $b) => [$twiceCentre($a, 1), $twiceCentre($a, 0)] <=> [
                $twiceCentre($b, 1),
                $twiceCentre($b, 0),
            ],
        );
        $order = [];
        while ($open !== []) {
            [$row, $later, $first, $count] = [[], [], $open[0], count($open)];
            // By their centres: the row ends for good where these are a whole height of its first panel below.
            for (
                $at = 0;
                $at < $count && $twiceCentre($open[$at], 1) - $twiceCentre($first, 1) < $facesUm[$first][3];
                ++$at
            ) {
                $i = $open[$at];
                if ($twiceCentre($i, 1) - $twiceCentre($first, 1) < min($facesUm[$i][3], $facesUm[$first][3])) {
                    $row[] = $i;
                } else {
                    $later[] = $i;
                }
            }
            usort($row, static fn (int $a, int $b) => [$twiceCentre($a, 0), $a] <=> [$twiceCentre($b, 0), $b]);
            array_push($order, ...$row);
            $open = [...$later, ...array_slice($open, $at)];
        }

        return $order;
    }
}
