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
        usort($open, static fn (int $a, int $b) => [$twiceCentre($a, 1), $twiceCentre($a, 0)] <=> [$twiceCentre($b, 1), $twiceCentre($b, 0)]);
        $order = [];
        while ($open !== []) {
            $first = $open[0];
            $row = array_values(array_filter($open, static fn (int $i) => abs($twiceCentre($i, 1) - $twiceCentre($first, 1)) < min($facesUm[$i][3], $facesUm[$first][3])));
            usort($row, static fn (int $a, int $b) => [$twiceCentre($a, 0), $a] <=> [$twiceCentre($b, 0), $b]);
            $order = [...$order, ...$row];
            $open = array_values(array_diff($open, $row));
        }

        return $order;
    }
}
