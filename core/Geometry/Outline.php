<?php

declare(strict_types=1);

namespace UpperPane\Core\Geometry;

/**
 * A rectangle turned clockwise about its centre: its four corners from the top left one on, in thousandths of a px.
 * Quarter turns are exact; of other angles sine and cosine are taken in double precision and the corners rounded half
 * up.
 */
final readonly class Outline
{
    /** @param non-empty-list<array{int, int}> $corners */
    private function __construct(public array $corners)
    {
    }

    public static function of(Rect $rect, int $centidegrees): self
    {
        $centreX = $rect->x + $rect->width / 2;
        $centreY = $rect->y + $rect->height / 2;
        [$sine, $cosine] = self::sineAndCosine((($centidegrees % 36_000) + 36_000) % 36_000);
        $corners = [];
        foreach (
            [
                [$rect->x, $rect->y],
                [$rect->right(), $rect->y],
                [$rect->right(), $rect->bottom()],
                [$rect->x, $rect->bottom()],
            ] as [$x, $y]
        ) {
            [$dx, $dy] = [$x - $centreX, $y - $centreY];
            $corners[] = [
                self::thousandths($centreX + $dx * $cosine - $dy * $sine),
                self::thousandths($centreY + $dx * $sine + $dy * $cosine),
            ];
        }

        return new self($corners);
    }

    public function liesWithin(Rect $rect): bool
    {
        foreach ($this->corners as [$x, $y]) {
            if (
                $x < 1000 * $rect->x
                || $x > 1000 * $rect->right()
                || $y < 1000 * $rect->y
                || $y > 1000 * $rect->bottom()
            ) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether they share more than an edge: no line along a side of either keeps them apart (separating axes, common
     * practice).
     */
    public function meets(Rect $rect): bool
    {
        $other = self::of($rect, 0)->corners;
        foreach ([[1, 0], [0, 1], $this->side(0), $this->side(1)] as $axis) {
            [$ownLeast, $ownMost] = self::shadow($this->corners, $axis);
            [$least, $most] = self::shadow($other, $axis);
            if ($ownMost <= $least || $most <= $ownLeast) {
                return false;
            }
        }

        return true;
    }

    /** The least upright rectangle around it. */
    public function box(): Rect
    {
        $x = array_column($this->corners, 0);
        $y = array_column($this->corners, 1);
        [$left, $top] = [(int) floor(min($x) / 1000), (int) floor(min($y) / 1000)];

        return Rect::of(
            $left,
            $top,
            max(1, (int) ceil(max($x) / 1000) - $left),
            max(1, (int) ceil(max($y) / 1000) - $top),
        );
    }

    /** @return array{float, float} */
    private static function sineAndCosine(int $centidegrees): array
    {
        return match ($centidegrees) {
            0 => [0.0, 1.0],
            9000 => [1.0, 0.0],
            18_000 => [0.0, -1.0],
            27_000 => [-1.0, 0.0],
            default => [sin(deg2rad($centidegrees / 100)), cos(deg2rad($centidegrees / 100))],
        };
    }

    /** @return array{int, int} */
    private function side(int $from): array
    {
        return [
            $this->corners[$from + 1][0] - $this->corners[$from][0],
            $this->corners[$from + 1][1] - $this->corners[$from][1],
        ];
    }

    /**
     * @param non-empty-list<array{int, int}> $corners
     * @param array{int, int}                 $axis
     *
     * @return array{int, int}
     */
    private static function shadow(array $corners, array $axis): array
    {
        $along = array_map(static fn (array $corner) => $corner[0] * $axis[0] + $corner[1] * $axis[1], $corners);

        return [min($along), max($along)];
    }

    private static function thousandths(float $px): int
    {
        return (int) floor($px * 1000 + 0.5);
    }
}
