<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/**
 * A picture sized into a box as CSS does it (CSS Images 3 §5.5 object-fit, §5.6 object-position), with what is seen and
 * what is cut away. All values exact.
 */
final readonly class Fit
{
    /**
     * @param array{Rational, Rational, Rational, Rational} $drawn   x, y, width, height in box px; may exceed the box
     * @param array{Rational, Rational, Rational, Rational} $visible x, y, width, height in source px
     * @param array{Rational, Rational, Rational, Rational} $bars    left, top, right, bottom in box px
     * @param Rational                                      $cut     share of the source's area that is not seen, 0 to 1
     * @param array{Rational, Rational}                     $scale   canvas px per source px
     * @param array{Rational, Rational, Rational, Rational} $window  what is to be seen of it, in box px
     */
    private function __construct(
        public array $drawn,
        public array $visible,
        public array $bars,
        public Rational $cut,
        public array $scale,
        public array $window,
    ) {
    }

    /** A part of the picture as if it were the whole; the loss is what is lost of that part. */
    public static function ofPart(
        Size $source,
        Rect $part,
        Size $box,
        FitMode $mode,
        int $focusX = 50_000,
        int $focusY = 50_000,
    ): self {
        $fit = self::of(Size::of($part->width, $part->height), $box, $mode, $focusX, $focusY);
        $px = static fn (int $px) => Rational::of($px);

        return new self(
            [
                $fit->drawn[0]->minus($px($part->x)->times($fit->scale[0])),
                $fit->drawn[1]->minus($px($part->y)->times($fit->scale[1])),
                $px($source->width)->times($fit->scale[0]),
                $px($source->height)->times($fit->scale[1]),
            ],
            [
                $fit->visible[0]->plus($px($part->x)),
                $fit->visible[1]->plus($px($part->y)),
                $fit->visible[2],
                $fit->visible[3],
            ],
            $fit->bars,
            $fit->cut,
            $fit->scale,
            $fit->drawn,
        );
    }

    /** Focus per axis in thousandths of a percent: 0 to 100,000. */
    public static function of(Size $source, Size $box, FitMode $mode, int $focusX = 50_000, int $focusY = 50_000): self
    {
        $fillX = Rational::of($box->width, $source->width);
        $fillY = Rational::of($box->height, $source->height);
        $wider = $fillX->compare($fillY) > 0;
        [$scaleX, $scaleY] = match ($mode) {
            FitMode::Contain => $wider ? [$fillY, $fillY] : [$fillX, $fillX],
            FitMode::Cover => $wider ? [$fillX, $fillX] : [$fillY, $fillY],
            FitMode::Stretch => [$fillX, $fillY],
            FitMode::None => [Rational::of(1), Rational::of(1)],
        };
        [$x, $width, $seenX, $seenWidth, $left, $right] = self::axis($source->width, $box->width, $scaleX, $focusX);
        [$y, $height, $seenY, $seenHeight, $top, $bottom] = self::axis($source->height, $box->height, $scaleY, $focusY);
        $seen = $seenWidth
            ->dividedBy(Rational::of($source->width))
            ->times($seenHeight->dividedBy(Rational::of($source->height)));

        return new self(
            [$x, $y, $width, $height],
            [$seenX, $seenY, $seenWidth, $seenHeight],
            [$left, $top, $right, $bottom],
            Rational::of(1)->minus($seen),
            [$scaleX, $scaleY],
            [$x, $y, $width, $height],
        );
    }

    /**
     * A rectangle of the source where it is drawn, in whole px of the box and within it: grown to whole ones, or
     * shrunk. Null where nothing of it is seen.
     */
    public function drawnRect(Rect $source, Size $box, bool $grown): ?Rect
    {
        $edge = static fn (Rational $at, bool $up) => $up ? $at->ceil() : $at->floor();
        $x = fn (int $px) => $this->drawn[0]->plus($this->scale[0]->times(Rational::of($px)));
        $y = fn (int $px) => $this->drawn[1]->plus($this->scale[1]->times(Rational::of($px)));
        [$fromX, $fromY, $width, $height] = $this->window;
        $left = max(0, $fromX->floor(), $edge($x($source->x), !$grown));
        $top = max(0, $fromY->floor(), $edge($y($source->y), !$grown));
        $right = min($box->width, $fromX->plus($width)->ceil(), $edge($x($source->right()), $grown));
        $bottom = min($box->height, $fromY->plus($height)->ceil(), $edge($y($source->bottom()), $grown));

        return $right > $left && $bottom > $top ? Rect::of($left, $top, $right - $left, $bottom - $top) : null;
    }

    /** How much the ratio of the picture is changed: 0 for none, 0.25 when one side is drawn a quarter too long. */
    public function distortion(): Rational
    {
        [$x, $y] = $this->scale;

        return ($x->compare($y) > 0 ? $x->dividedBy($y) : $y->dividedBy($x))->minus(Rational::of(1));
    }

    /** The larger of the two scales. */
    public function enlargement(): Rational
    {
        return $this->scale[0]->compare($this->scale[1]) > 0 ? $this->scale[0] : $this->scale[1];
    }

    /** @return array<string, mixed> as `bin/pane fit` prints it */
    public function toArray(): array
    {
        return [
            'drawn' => self::decimals($this->drawn, 3),
            'visible' => self::decimals($this->visible, 3),
            'bars' => self::decimals($this->bars, 3),
            'cut' => $this->cut->decimal(4),
            'scale' => self::decimals($this->scale, 4),
        ];
    }

    /**
     * @param array<int, Rational> $values
     *
     * @return array<int, float|int>
     */
    private static function decimals(array $values, int $places): array
    {
        return array_map(static fn (Rational $value) => $value->decimal($places), $values);
    }

    /**
     * @return array{Rational, Rational, Rational, Rational, Rational, Rational} start, length, seen start, seen length,
     *     bar before, bar after
     */
    private static function axis(int $sourcePx, int $boxPx, Rational $scale, int $focus): array
    {
        $length = $scale->times(Rational::of($sourcePx));
        $start = Rational::of($boxPx)->minus($length)->times(Rational::of($focus, 100_000));
        $zero = Rational::of(0);
        if ($length->compare(Rational::of($boxPx)) > 0) {
            return [
                $start,
                $length,
                $zero->minus($start)->dividedBy($scale),
                Rational::of($boxPx)->dividedBy($scale),
                $zero,
                $zero,
            ];
        }

        return [
            $start,
            $length,
            $zero,
            Rational::of($sourcePx),
            $start,
            Rational::of($boxPx)->minus($start)->minus($length),
        ];
    }
}
