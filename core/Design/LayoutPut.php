<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Floats\SetFloat;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\FloatPlace;
use UpperPane\Core\Layout\Glazing;

/** What putting another arrangement into a layout does to the whole design. */
final readonly class LayoutPut
{
    /** So many rectangles are named one by one; beyond, all of the layout's are said to have moved. */
    private const MOST_NAMED = 64;

    /**
     * @param array<string, Zone> $gone     zones that stand nowhere any more
     * @param list<FloatPlace> $unhooked floats as they were, whose pane is gone; they lie where they lay, held to the
     *     canvas
     * @param Scopes $touched zones that came and went, floats that were unhooked, parts that lie elsewhere
     */
    private function __construct(
        public Design $after,
        public array $gone,
        public array $unhooked,
        public Scopes $touched,
    ) {
    }

    /** @param array<string, Zone> $coming */
    public static function of(LayoutAt $at, Layout $layout, array $coming, int $lettersTaken): self
    {
        $layout->refuseTwins('/tree');
        $glazing = $layout->resolve($at->sizing());
        [$layout, $unhooked] = self::unhook($at, $layout, $glazing);
        $design = self::withZones($at->design, $coming, $lettersTaken);
        $design = $design->withScene($at->scene->withLayout($at->turned, $layout));
        $unknown = array_values(array_filter($layout->zones(), static fn (string $id) => !isset($design->zones[$id])));
        if ($unknown !== []) {
            throw Refusal::because('document.zone_unplaced', '/tree', ['zones' => $unknown]);
        }
        [$design, $gone] = self::cleared($design, array_diff($at->layout->zones(), $layout->zones()));

        return new self(
            $design,
            $gone,
            $unhooked,
            Scopes::of(
                ...array_map(static fn (int|string $id) => Spot::zone((string) $id), array_keys($coming + $gone)),
                ...array_map(static fn (FloatPlace $float) => $at->float($float->zone), $unhooked),
                ...self::moved($at, $at->glazing(), $glazing),
            ),
        );
    }

    /**
     * What brings unhooked floats back to where they were held, once their pane is there again.
     *
     * @return list<SetFloat>
     */
    public function rehook(LayoutAt $at): array
    {
        return array_map(static fn (FloatPlace $float) => SetFloat::asItWas($at, $float), $this->unhooked);
    }

    /**
     * Without those of some zones that stand nowhere.
     *
     * @param array<string> $candidates
     *
     * @return array{Design, array<string, Zone>} the design, and what went
     */
    public static function cleared(Design $design, array $candidates): array
    {
        $gone = array_filter(
            array_intersect_key($design->zones, array_flip($candidates)),
            static fn (Zone $zone) => !$design->stands($zone->id),
        );

        return [$gone === [] ? $design : $design->with(['zones' => array_diff_key($design->zones, $gone)]), $gone];
    }

    /**
     * With zones that come; letters they bring must have been given before, and to nobody who is there.
     *
     * @param array<string, Zone> $coming
     */
    public static function withZones(Design $design, array $coming, int $lettersTaken): Design
    {
        if ($coming === []) {
            return $design;
        }
        $letters = array_map(static fn (Zone $zone) => $zone->letter(), $design->zones);
        foreach ($coming as $id => $zone) {
            if (isset($design->zones[$id])) {
                throw Refusal::because('document.id_taken', '/zones', ['id' => (string) $id]);
            }
            if (
                in_array($zone->letter(), $letters, true)
                || Letters::index($zone->letter()) >= $design->lettersUsed + $lettersTaken
            ) {
                throw Refusal::because('document.letter_taken', '/zones', ['letter' => $zone->letter()]);
            }
            $letters[] = $zone->letter();
        }

        return $design->with([
            'zones' => $design->zones + $coming,
            'lettersUsed' => $design->lettersUsed + $lettersTaken,
        ]);
    }

    /** @return array{Layout, list<FloatPlace>} */
    private static function unhook(LayoutAt $at, Layout $layout, Glazing $glazing): array
    {
        $unhooked = [];
        $floats = [];
        foreach ($layout->floats as $float) {
            $pane = $float->pane();
            $frame = $pane === null ? null : $at->glazing()->panes[$pane] ?? null;
            if ($frame !== null && !isset($glazing->panes[$pane])) {
                $unhooked[] = $float;
                $float = FloatPlace::at($float->zone, $float->rect($frame), $float->turnCentidegrees, $float->frame)
                    ->withTraits($float->traits);
            }
            $floats[] = $float;
        }

        return [$unhooked === [] ? $layout : $layout->withFloats($floats), $unhooked];
    }

    /** @return list<Scope> */
    private static function moved(LayoutAt $at, Glazing $before, Glazing $after): array
    {
        $rects = static fn (Glazing $glazing): array => $glazing->panes + $glazing->splits;
        [$old, $new] = [$rects($before), $rects($after)];
        $moved = array_filter(
            $old + $new,
            static function (Rect $_, int|string $id) use ($old, $new): bool {
                return !isset($old[$id], $new[$id]) || !$old[$id]->equals($new[$id]);
            },
            \ARRAY_FILTER_USE_BOTH,
        );

        return count($moved) > self::MOST_NAMED
            ? [$at->scope()->below('rect')]
            : array_map(static fn (int|string $id) => $at->rect((string) $id), array_keys($moved));
    }
}
