<?php

declare(strict_types=1);

namespace UpperPane\Core\Surface;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/**
 * One physical display as its data sheet gives it, before turning: native px, active size and bezels in µm, and the
 * mounting rotation in degrees clockwise as seen from the front (model §2).
 */
final readonly class Panel
{
    public const LARGEST_UM = 1_000_000_000;

    /** @param array{int, int, int, int} $bezelUm left, top, right, bottom */
    private function __construct(
        public Size $native,
        public int $activeWidthUm,
        public int $activeHeightUm,
        public array $bezelUm,
        public int $rotation,
    ) {
    }

    /** @param array{int, int, int, int} $bezelUm left, top, right, bottom */
    public static function of(
        Size $native,
        int $activeWidthUm,
        int $activeHeightUm,
        array $bezelUm = [0, 0, 0, 0],
        int $rotation = 0,
    ): self {
        return new self($native, $activeWidthUm, $activeHeightUm, $bezelUm, $rotation);
    }

    /** Reads `native`, `active_mm`, `bezel_mm` and `rotation`; the caller has checked the keys. */
    public static function parse(Input $input): self
    {
        $active = $input->list('active_mm', 2, 2);
        $bezel = $input->has('bezel_mm') ? $input->list('bezel_mm', 4, 4) : null;
        $rotation = $input->has('rotation') ? (int) $input->choice('rotation', Turn::ALL) : 0;

        return new self(
            Size::parse($input->child('native')),
            $active[0]->asThousandths(1, self::LARGEST_UM),
            $active[1]->asThousandths(1, self::LARGEST_UM),
            $bezel === null
                ? [0, 0, 0, 0]
                : [
                    $bezel[0]->asThousandths(0, self::LARGEST_UM),
                    $bezel[1]->asThousandths(0, self::LARGEST_UM),
                    $bezel[2]->asThousandths(0, self::LARGEST_UM),
                    $bezel[3]->asThousandths(0, self::LARGEST_UM),
                ],
            $rotation,
        );
    }

    /** The panel as mounted: its sizes and bezels turned, the rotation spent. */
    public function mounted(): self
    {
        if ($this->rotation === 0) {
            return $this;
        }
        [$left, $top, $right, $bottom] = $this->bezelUm;
        $bezel = match ($this->rotation) {
            90 => [$bottom, $left, $top, $right],
            180 => [$right, $bottom, $left, $top],
            270 => [$top, $right, $bottom, $left],
            default => $this->bezelUm,
        };
        [$width, $height] =
            $this->rotation % 180 === 0
                ? [$this->activeWidthUm, $this->activeHeightUm]
                : [$this->activeHeightUm, $this->activeWidthUm];

        return new self($this->native->turned($this->rotation), $width, $height, $bezel, 0);
    }

    /** µm per native px along an axis, as mounted. */
    public function pitch(Axis $axis): Rational
    {
        $mounted = $this->mounted();

        return $axis === Axis::X
            ? Rational::of($mounted->activeWidthUm, $mounted->native->width)
            : Rational::of($mounted->activeHeightUm, $mounted->native->height);
    }

    public function turnedBy(int $degrees): self
    {
        return new self($this->native, $this->activeWidthUm, $this->activeHeightUm, $this->bezelUm, $degrees);
    }

    /** @return array<string, mixed> as it is read */
    public function toArray(): array
    {
        $mm = static fn (int $um) => Rational::of($um, 1000)->decimal(3);

        return [
            'native' => $this->native->toArray(),
            'active_mm' => [$mm($this->activeWidthUm), $mm($this->activeHeightUm)],
            'bezel_mm' => array_map($mm, $this->bezelUm),
            'rotation' => $this->rotation,
        ];
    }

    /** The clockwise turn applied to the canvas part to get the signal: (360 − rotation) mod 360. */
    public function signalTurn(): int
    {
        return Turn::back($this->rotation);
    }
}
