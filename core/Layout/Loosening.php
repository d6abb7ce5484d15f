<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Geometry\Rational;

/**
 * How one split is made to fit a length (model §3). As it is; else with its px and mm parts as shares of their px there
 * and its shares as shares of their own px times s, % parts staying unless they leave nothing; then without its
 * minimums; then without its gutters; then % parts as shares too; and at last without its last parts. Every step is a
 * finding.
 */
final readonly class Loosening
{
    /**
     * @param Split         $split as it was resolved; loosened parts are shares of just their px
     * @param list<int>     $px    of the parts that there is room for
     * @param list<Finding> $findings
     */
    private function __construct(public Split $split, public array $px, public array $findings)
    {
    }

    /** @param list<int> $ownPx px of the parts in the design's own layout */
    public static function fit(
        Split $split,
        array $ownPx,
        Rational $scale,
        int $lengthPx,
        Pitches $pitches,
        string $path,
    ): self {
        $px = self::attempt($split, $lengthPx, $pitches, false);
        if ($px !== null) {
            return new self($split, $px, []);
        }
        $kept = self::percentStays($split, $lengthPx) ? [true, false] : [false];
        foreach ($kept as $keepPercent) {
            $loose = self::loosened($split, $ownPx, $scale, $lengthPx, $pitches, $keepPercent);
            foreach ([[$loose, false], [$loose, true], [$loose->withGutter(0), true]] as [$tried, $bare]) {
                $px = self::attempt($tried, $lengthPx, $pitches, $bare);
                if ($px !== null) {
                    $findings = self::findings($split, $tried, $px, $path);

                    return new self(
                        self::settled($tried, $px),
                        $px,
                        $findings === [] ? self::ofShares($split, $path) : $findings,
                    );
                }
            }
        }

        return self::withoutTheLast(
            $split,
            self::loosened($split, $ownPx, $scale, $lengthPx, $pitches, false)->withGutter(0),
            $lengthPx,
            $pitches,
            $path,
        );
    }

    private static function withoutTheLast(
        Split $split,
        Split $loose,
        int $lengthPx,
        Pitches $pitches,
        string $path,
    ): self {
        $parts = $loose->parts;
        while (
            count($parts) > 1
            && array_sum(array_map(static fn (Part $part) => Need::bare($part, $split->axis), $parts)) > $lengthPx
        ) {
            array_pop($parts);
        }
        $px =
            count($parts) === 1 ? [$lengthPx] : Shares::of($loose->withParts($parts), $lengthPx, $pitches, $path, true);
        $gone = array_merge(
            [],
            ...array_map(static fn (Part $part) => $part->paneIds(), array_slice($split->parts, count($parts))),
        );
        $findings = self::findings($split, $loose, $px, $path);

        return new self(
            self::settled($loose, $px),
            $px,
            $gone === []
                ? $findings
                : [
                    ...$findings,
                    Finding::of('reflow.left_out', Severity::Stop, $path, ['panes' => $gone, 'px' => $lengthPx]),
                ],
        );
    }

    /** @return list<int>|null */
    private static function attempt(Split $split, int $lengthPx, Pitches $pitches, bool $bare): ?array
    {
        try {
            return Shares::of($split, $lengthPx, $pitches, '', $bare);
        } catch (Refusal) {
            return null;
        }
    }

    private static function percentStays(Split $split, int $lengthPx): bool
    {
        $left = Rational::of($lengthPx - $split->guttersPx());
        $others = 0;
        foreach ($split->parts as $part) {
            $percent = $part->size()->unit === SizeUnit::Percent;
            $left = $percent ? $left->minus($part->size()->idealPx($lengthPx, null, '')) : $left;
            $others += $percent ? 0 : 1;
        }

        return $others > 0 && $others < count($split->parts) && $left->compare(Rational::of(0)) > 0;
    }

    /** @param list<int> $ownPx */
    private static function loosened(
        Split $split,
        array $ownPx,
        Rational $scale,
        int $lengthPx,
        Pitches $pitches,
        bool $keepPercent,
    ): Split {
        $pitchUm = $pitches->along($split->axis);
        $share = static fn (Rational $px) => PartSize::fr(max(1, $px->round()));

        return $split->withParts(
            array_map(
                static fn (Part $part, int $own) => match ($part->size()->unit) {
                    SizeUnit::Percent => $keepPercent
                        ? $part
                        : $part->withSize($share($part->size()->idealPx($lengthPx, null, ''))),
                    SizeUnit::Fr => $part->withSize($share($scale->times(Rational::of($own)))),
                    SizeUnit::Px => $part->withSize($share(Rational::of($part->size()->whole()))),
                    SizeUnit::Mm => $part->withSize(
                        $share($part->size()->fixedPx($pitchUm) ?? $scale->times(Rational::of($own))),
                    ),
                },
                $split->parts,
                $ownPx,
            ),
        );
    }

    /** @param list<int> $px */
    private static function settled(Split $split, array $px): Split
    {
        return $split->withParts(
            array_map(
                static fn (Part $part, int $index) => match (true) {
                    !isset($px[$index]) || !$part->size()->isShare() => $part,
                    default => $part
                        ->withSize(PartSize::fr($px[$index]))
                        ->withLeast(min($part->leastPx(), $px[$index])),
                },
                $split->parts,
                array_keys($split->parts),
            ),
        );
    }

    /**
     * Of a split of shares alone: parts so small that they would be no px take one from their neighbours.
     *
     * @return list<Finding>
     */
    private static function ofShares(Split $split, string $path): array
    {
        $findings = [];
        foreach ($split->parts as $index => $part) {
            if (!$part->size()->isShare()) {
                return [];
            }
            $findings[] = Finding::of('reflow.loosened', Severity::Caution, "$path/parts/$index", [
                'size' => $part->size()->toText(),
                'panes' => $part->paneIds(),
            ]);
        }

        return $findings;
    }

    /**
     * @param list<int> $px
     *
     * @return list<Finding>
     */
    private static function findings(Split $before, Split $after, array $px, string $path): array
    {
        $findings = [];
        foreach ($before->parts as $index => $part) {
            if (!$part->size()->isShare() && $after->parts[$index]->size()->isShare()) {
                $findings[] = Finding::of('reflow.loosened', Severity::Caution, "$path/parts/$index", [
                    'size' => $part->size()->toText(),
                    'panes' => $part->paneIds(),
                ]);
            }
            if ($part->leastPx() > ($px[$index] ?? \PHP_INT_MAX)) {
                $findings[] = Finding::of('reflow.minimum_gone', Severity::Caution, "$path/parts/$index", [
                    'min' => $part->leastPx(),
                    'panes' => $part->paneIds(),
                ]);
            }
        }
        if ($after->gutterPx < $before->gutterPx) {
            $findings[] = Finding::of('reflow.gutter_gone', Severity::Caution, $path, ['gutter' => $before->gutterPx]);
        }

        return $findings;
    }
}
