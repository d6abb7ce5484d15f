<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/**
 * A glazing carried to a surface of another size: px are multiplied by s, {@see ReflowScale}; px parts that
 * still do not fit become shares of the same value, with a finding. Reflow refuses only a canvas with fewer px than panes
 * (model §3).
 */
final readonly class Reflow
{
    /** @param list<Finding> $findings */
    private function __construct(public Part $tree, public Rational $scale, public Glazing $glazing, public array $findings)
    {
    }

    public static function to(Part $tree, Sizing $design, Sizing $surface, ReflowScale $by = ReflowScale::ShortSide): self
    {
        [$to, $pitchXUm, $pitchYUm] = [$surface->canvas, $surface->pitchUm(Axis::X), $surface->pitchUm(Axis::Y)];
        $scale = $by->between($design, $surface);
        $scaled = self::scaled($tree, $scale);
        $loosened = [];
        try {
            $fitted = self::fitted($scaled, $to, $loosened, $pitchXUm, $pitchYUm, '/tree');
            $glazing = Glazing::resolve($fitted, $to, $pitchXUm, $pitchYUm);
        } catch (Refusal) {
            // Parts that got too little here took it from each other: all of them give way together.
            $fitted = $scaled instanceof Split ? self::bare($scaled) : $scaled;
            $loosened = self::fixed($scaled, '/tree');
            $glazing = Glazing::resolve($fitted, $to, $pitchXUm, $pitchYUm);
        }
        $findings = array_map(
            static fn (array $part) => Finding::of('reflow.loosened', Severity::Caution, $part[0], ['size' => $part[1]]),
            $loosened,
        );

        return new self($fitted, $scale, $glazing, $findings);
    }

    /** @return list<array{string, string}> path and size of every part that is no share */
    private static function fixed(Part $part, string $path): array
    {
        $fixed = [];
        foreach ($part instanceof Split ? $part->parts : [] as $index => $child) {
            $at = "$path/parts/$index";
            $fixed = [...$fixed, ...($child->size()->isShare() ? [] : [[$at, $child->size()->toText()]]), ...self::fixed($child, $at)];
        }

        return $fixed;
    }

    private static function scaled(Part $part, Rational $scale): Part
    {
        $sized = $part->withSize($part->size()->scaled($scale));
        if (!$sized instanceof Split) {
            return $sized;
        }

        return $sized
            ->withGutter($scale->times(Rational::of($sized->gutterPx))->round())
            ->withParts(array_map(static fn (Part $child) => self::scaled($child, $scale), $sized->parts));
    }

    /**
     * Tries the part at its size; what cannot be resolved is loosened to shares, without gutters where even these are too many.
     *
     * @param list<array{string, string}> $loosened path and size of what gave way
     */
    private static function fitted(Part $part, Size $box, array &$loosened, ?Rational $pitchXUm, ?Rational $pitchYUm, string $path): Part
    {
        if (!$part instanceof Split) {
            return $part;
        }
        $length = $part->axis === Axis::X ? $box->width : $box->height;
        $sizes = self::attempt($part, $length, $part->axis === Axis::X ? $pitchXUm : $pitchYUm);
        if ($sizes === null) {
            foreach ($part->parts as $index => $child) {
                if (!$child->size()->isShare()) {
                    $loosened[] = ["$path/parts/$index", $child->size()->toText()];
                }
            }
            $part = self::loosened($part, $length);
            $sizes = self::attempt($part, $length, null);
        }
        if ($sizes === null) {
            $part = self::bare($part);
            $sizes = Shares::of($part, $length, null, $path);
        }
        $parts = [];
        foreach ($part->parts as $index => $child) {
            $inner = $part->axis === Axis::X ? Size::of($sizes[$index], $box->height) : Size::of($box->width, $sizes[$index]);
            $parts[] = self::fitted($child, $inner, $loosened, $pitchXUm, $pitchYUm, "$path/parts/$index");
        }

        return $part->withParts($parts);
    }

    /** @return list<int>|null */
    private static function attempt(Split $split, int $lengthPx, ?Rational $pitchUm): ?array
    {
        try {
            return Shares::of($split, $lengthPx, $pitchUm, '');
        } catch (Refusal) {
            return null;
        }
    }

    private static function loosened(Split $split, int $lengthPx): Split
    {
        $spare = $lengthPx - count($split->parts);
        $gutter = count($split->parts) > 1 ? min($split->gutterPx, max(0, intdiv($spare, 2 * (count($split->parts) - 1)))) : 0;

        return $split->withGutter($gutter)->withParts(array_map(
            static fn (Part $child) => self::share($child),
            $split->parts,
        ));
    }

    private static function share(Part $part): Part
    {
        return $part->size()->isShare() ? $part : $part->withSize(PartSize::fr(max(1, $part->size()->shares())));
    }

    /** The last resort: shares all the way down, no gutters, every part at least 1 px. */
    private static function bare(Split $split): Split
    {
        $parts = array_map(static fn (Part $part) => $part instanceof Split
            ? self::bare($part)->withLeast(1)->withSize(self::share($part)->size())
            : new Pane($part->id(), self::share($part)->size(), 1), $split->parts);

        return $split->withGutter(0)->withParts($parts);
    }
}
