<?php

declare(strict_types=1);

namespace UpperPane\Core\Geometry;

/**
 * A closed outline of straight sides, in px as floats: what drawn paths come to, and what is left of them behind
 * others. Inside is what an odd number of sides is crossed to reach (SVG 2 §13.4.2, `evenodd`).
 *
 * @phpstan-type Point array{float, float}
 */
final readonly class Polygon
{
    /** So many straight sides stand for a quarter of an ellipse: off by less than 1/1000 of its radius. */
    private const SIDES_A_QUARTER = 16;

    /** So many numbers belong to a command; to the others one. */
    private const NUMBERS = ['M' => 2, 'L' => 2, 'A' => 7];

    /** @var array{float, float, float, float} left, top, right, bottom */
    public array $bounds;

    /** @param non-empty-list<Point> $corners */
    private function __construct(public array $corners)
    {
        [$x, $y] = [array_column($corners, 0), array_column($corners, 1)];
        $this->bounds = [min($x), min($y), max($x), max($y)];
    }

    /** @param non-empty-list<Point> $corners */
    public static function of(array $corners): self
    {
        return new self($corners);
    }

    public static function rect(float $x, float $y, float $width, float $height): self
    {
        return new self([[$x, $y], [$x + $width, $y], [$x + $width, $y + $height], [$x, $y + $height]]);
    }

    /**
     * Of a path as plans hold it: one closed line of M, L, H, V, h, v, A and Z (SVG 2 §9.3).
     *
     * @param float $unit px of one unit of the path
     */
    public static function ofPath(string $path, float $unit): self
    {
        preg_match_all('/([MLHVAhv])([^MLHVAhvZ]*)/', $path, $found, \PREG_SET_ORDER);
        $corners = [];
        $at = [0.0, 0.0];
        foreach ($found as [, $command, $said]) {
            $numbers = array_map(floatval(...), preg_split('/[ ,]+/', trim($said)) ?: []);
            foreach (array_chunk($numbers, self::NUMBERS[$command] ?? 1) as $one) {
                $last = $one[count($one) - 1];
                $to = match ($command) {
                    'H' => [$last, $at[1]],
                    'V' => [$at[0], $last],
                    'h' => [$at[0] + $last, $at[1]],
                    'v' => [$at[0], $at[1] + $last],
                    default => [$one[count($one) - 2] ?? 0.0, $last],
                };
                $bend = $command === 'A' ? self::arc($at, $to, $one) : [];
                array_push($corners, ...$bend, ...[$to]);
                $at = $to;
            }
        }
        $scaled = array_map(static fn (array $one) => [$one[0] * $unit, $one[1] * $unit], $corners);

        return new self($scaled === [] ? [[0.0, 0.0]] : $scaled);
    }

    /**
     * The places between the ends of an arc whose ellipse is upright (SVG 2 §B.2.4).
     *
     * @param Point       $from
     * @param Point       $to
     * @param list<float> $arc radii, turn, whether it is the large one, whether it goes clockwise
     *
     * @return list<Point>
     */
    private static function arc(array $from, array $to, array $arc): array
    {
        [$radiusX, $radiusY, , $large, $clockwise] = $arc;
        if ($radiusX <= 0.0 || $radiusY <= 0.0) {
            return [];
        }
        [$halfX, $halfY] = [($from[0] - $to[0]) / 2 / $radiusX, ($from[1] - $to[1]) / 2 / $radiusY];
        $half = hypot($halfX, $halfY);
        $grown = max(1.0, $half);
        $reach = $half === 0.0 ? 0.0 : sqrt(max(0.0, $grown ** 2 - $half ** 2)) / $half;
        $reach *= $large === $clockwise ? -1 : 1;
        [$middleX, $middleY] = [
            ($from[0] + $to[0]) / 2 + $reach * $halfY * $radiusX,
            ($from[1] + $to[1]) / 2 - $reach * $halfX * $radiusY,
        ];
        [$radiusX, $radiusY] = [$radiusX * $grown, $radiusY * $grown];
        $begin = atan2(($from[1] - $middleY) / $radiusY, ($from[0] - $middleX) / $radiusX);
        $sweep = atan2(($to[1] - $middleY) / $radiusY, ($to[0] - $middleX) / $radiusX) - $begin;
        $sweep += match (true) {
            $clockwise === 1.0 && $sweep <= 0 => 2 * \M_PI,
            $clockwise === 0.0 && $sweep >= 0 => -2 * \M_PI,
            default => 0,
        };
        $sides = (int) ceil(abs($sweep) / (\M_PI / 2) * self::SIDES_A_QUARTER);
        $places = [];
        for ($side = 1; $side < $sides; ++$side) {
            $at = $begin + ($sweep * $side) / $sides;
            $places[] = [$middleX + $radiusX * cos($at), $middleY + $radiusY * sin($at)];
        }

        return $places;
    }

    public function contains(float $x, float $y): bool
    {
        [$left, $top, $right, $bottom] = $this->bounds;
        if ($x < $left || $y < $top || $x > $right || $y > $bottom) {
            return false;
        }
        $inside = false;
        [$fromX, $fromY] = $this->corners[array_key_last($this->corners)];
        foreach ($this->corners as [$toX, $toY]) {
            if ($fromY > $y !== $toY > $y && $x < $fromX + (($toX - $fromX) * ($y - $fromY)) / ($toY - $fromY)) {
                $inside = !$inside;
            }
            [$fromX, $fromY] = [$toX, $toY];
        }

        return $inside;
    }

    /**
     * Whether a place lies no farther than that from its sides.
     *
     * @param bool $closed whether the side from the last corner to the first counts
     */
    public function isNear(float $x, float $y, float $distance, bool $closed = true): bool
    {
        [$left, $top, $right, $bottom] = $this->bounds;
        if ($x < $left - $distance || $y < $top - $distance || $x > $right + $distance || $y > $bottom + $distance) {
            return false;
        }
        [$fromX, $fromY] = $this->corners[$closed ? array_key_last($this->corners) : 0];
        foreach ($this->corners as [$toX, $toY]) {
            [$alongX, $alongY] = [$toX - $fromX, $toY - $fromY];
            $long = $alongX ** 2 + $alongY ** 2;
            $share = $long === 0.0 ? 0 : (($x - $fromX) * $alongX + ($y - $fromY) * $alongY) / $long;
            $share = min(1, max(0, $share));
            if (hypot($x - $fromX - $share * $alongX, $y - $fromY - $share * $alongY) <= $distance) {
                return true;
            }
            [$fromX, $fromY] = [$toX, $toY];
        }

        return false;
    }

    /** Turned clockwise about a place, then moved. */
    public function turned(float $sine, float $cosine, float $aboutX, float $aboutY, float $byX, float $byY): self
    {
        return new self(
            array_map(static function (array $one) use ($sine, $cosine, $aboutX, $aboutY, $byX, $byY): array {
                [$x, $y] = [$one[0] - $aboutX, $one[1] - $aboutY];

                return [$byX + $aboutX + $x * $cosine - $y * $sine, $byY + $aboutY + $x * $sine + $y * $cosine];
            }, $this->corners),
        );
    }

    /**
     * Whether it shares more than an edge with a rectangle; one without width or height is met where it runs through
     * the inside. Of outlines that bulge outwards everywhere (separating axes, common practice).
     */
    public function meets(Rect $rect): bool
    {
        $other = [
            [$rect->x, $rect->y],
            [$rect->right(), $rect->y],
            [$rect->right(), $rect->bottom()],
            [$rect->x, $rect->bottom()],
        ];
        $axes = [[1.0, 0.0], [0.0, 1.0]];
        [$fromX, $fromY] = $this->corners[array_key_last($this->corners)];
        foreach ($this->corners as [$toX, $toY]) {
            $axes[] = [$fromY - $toY, $toX - $fromX];
            [$fromX, $fromY] = [$toX, $toY];
        }
        foreach ($axes as $axis) {
            [$ownLeast, $ownMost] = self::shadow($this->corners, $axis);
            [$least, $most] = self::shadow($other, $axis);
            if ($ownMost - $least < 1e-6 || $most - $ownLeast < 1e-6) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param non-empty-list<array{int|float, int|float}> $corners
     * @param Point                                       $axis
     *
     * @return array{float, float}
     */
    private static function shadow(array $corners, array $axis): array
    {
        $along = array_map(
            static fn (array $corner) => (float) ($corner[0] * $axis[0] + $corner[1] * $axis[1]),
            $corners,
        );

        return [min($along), max($along)];
    }

    /** In square px (shoelace formula). */
    public function area(): float
    {
        $twice = 0.0;
        [$fromX, $fromY] = $this->corners[array_key_last($this->corners)];
        foreach ($this->corners as [$toX, $toY]) {
            $twice += $fromX * $toY - $toX * $fromY;
            [$fromX, $fromY] = [$toX, $toY];
        }

        return abs($twice) / 2;
    }

    /**
     * What is left of it outside another: pieces that do not lie over each other. Both bulge outwards everywhere and go
     * clockwise on the screen.
     *
     * @return list<self>
     */
    public function without(self $other): array
    {
        $left = [];
        $inside = $this;
        $from = $other->corners[array_key_last($other->corners)];
        foreach ($other->corners as $to) {
            $outside = $inside->half($to, $from);
            if ($outside !== null) {
                $left[] = $outside;
            }
            $inside = $inside->half($from, $to);
            if ($inside === null) {
                return $left;
            }
            $from = $to;
        }

        return $left;
    }

    /** What of it lies in a rectangle; null when nothing does. */
    public function within(Rect $rect): ?self
    {
        $inside = $this;
        $other = self::rect($rect->x, $rect->y, $rect->width, $rect->height);
        $from = $other->corners[3];
        foreach ($other->corners as $to) {
            $inside = $inside?->half($from, $to);
            $from = $to;
        }

        return $inside;
    }

    /**
     * What lies to the right of a line, seen along it (Sutherland and Hodgman's clipping, common practice).
     *
     * @param Point $from
     * @param Point $to
     */
    private function half(array $from, array $to): ?self
    {
        [$alongX, $alongY] = [$to[0] - $from[0], $to[1] - $from[1]];
        $side = static fn (float $x, float $y): float => $alongX * ($y - $from[1]) - $alongY * ($x - $from[0]);
        $kept = [];
        $before = $this->corners[array_key_last($this->corners)];
        $sideBefore = $side(...$before);
        foreach ($this->corners as $corner) {
            $sideHere = $side(...$corner);
            if ($sideBefore > 0 !== $sideHere > 0 && abs($sideBefore - $sideHere) > 0) {
                $share = $sideBefore / ($sideBefore - $sideHere);
                $kept[] = [
                    $before[0] + $share * ($corner[0] - $before[0]),
                    $before[1] + $share * ($corner[1] - $before[1]),
                ];
            }
            if ($sideHere > 0) {
                $kept[] = $corner;
            }
            [$before, $sideBefore] = [$corner, $sideHere];
        }

        return count($kept) < 3 ? null : new self($kept);
    }
}
