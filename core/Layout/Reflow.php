<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/**
 * A glazing carried to a surface of another size (model §3): px, minimums and gutters are multiplied by s ({@see
 * ReflowScale}) and rounded, mm follow the pitch there, % the length there. A split that does not fit there is loosened
 * by itself, see {@see Loosening}. A layout that resolves on its own canvas is never refused; with fewer px than panes
 * the last ones are left out.
 */
final class Reflow
{
    /** @var array<string, Rect> */
    private array $panes = [];

    /** @var list<string> */
    private array $leftOut = [];

    /** @var list<Finding> */
    private array $findings = [];

    private function __construct(
        public readonly Rational $scale,
        private readonly Sizing $own,
        private readonly Sizing $there,
    ) {
    }

    /** @throws Refusal when the layout does not resolve on its own canvas */
    public static function to(
        Part $tree,
        Sizing $own,
        Sizing $there,
        ReflowScale $by = ReflowScale::ShortSide,
        string $path = '/tree',
    ): Reflowed {
        $reflow = new self($by->between($own, $there), $own, $there);
        [$carried, $exact] = $reflow->place(
            $tree,
            self::scaled($tree, $reflow->scale),
            $own->canvas,
            $there->canvas->rect(),
            $path,
        );

        return new Reflowed(
            $reflow->scale,
            Glazing::ofPanes($reflow->panes),
            $reflow->resolvesTo($carried) ? $carried : $exact,
            $reflow->leftOut,
            $reflow->findings,
        );
    }

    /** Where splits gave way below others, sizes as written may come out otherwise when they are resolved anew. */
    private function resolvesTo(Part $tree): bool
    {
        try {
            $panes = $this->there->resolve($tree)->panes;
        } catch (Refusal) {
            return false;
        }

        return array_map(static fn (Rect $rect) => $rect->toArray(), $panes) ===
            array_map(static fn (Rect $rect) => $rect->toArray(), $this->panes);
    }

    /** @return array{Part, Part} the part there, with sizes as written, and with shares of just its px */
    private function place(Part $part, Part $scaled, Size $ownBox, Rect $rect, string $path): array
    {
        if (!($part instanceof Split) || !($scaled instanceof Split)) {
            $this->panes[$part->id()] = $rect;

            return [$scaled, $scaled];
        }
        $axis = $part->axis;
        $ownPx = Shares::of($part, $axis->lengthOf($ownBox), $this->own->pitches, $path);
        $fitted = Loosening::fit($scaled, $ownPx, $this->scale, $rect->length($axis), $this->there->pitches, $path);
        $this->findings = [...$this->findings, ...$fitted->findings];
        $start = $rect->start($axis);
        $parts = $exact = [];
        foreach ($part->parts as $index => $child) {
            $px = $fitted->px[$index] ?? null;
            if ($px === null) {
                $this->leftOut = [...$this->leftOut, ...$child->paneIds()];
                continue;
            }
            $written = $fitted->split->parts[$index];
            [$inner, $innerExact] = $this->place(
                $child,
                $scaled->parts[$index],
                $axis->sized($ownBox, $ownPx[$index]),
                $rect->along($axis, $start, $px),
                "$path/parts/$index",
            );
            $parts[] = $inner->withSize($written->size())->withLeast($written->leastPx());
            $exact[] = $innerExact->withSize(PartSize::fr($px))->withLeast(0);
            $start += $px + $fitted->split->gutterPx;
        }

        return [$fitted->split->withParts($parts), $fitted->split->withParts($exact)];
    }

    private static function scaled(Part $part, Rational $scale): Part
    {
        $sized = $part
            ->withSize($part->size()->scaled($scale))
            ->withLeast($scale->times(Rational::of($part->leastPx()))->round());

        return $sized instanceof Split
            ? $sized
                ->withGutter($scale->times(Rational::of($sized->gutterPx))->round())
                ->withParts(array_map(static fn (Part $child) => self::scaled($child, $scale), $sized->parts))
            : $sized;
    }
}
