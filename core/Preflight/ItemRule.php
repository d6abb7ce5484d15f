<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Fill\Entry;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\ZonePlan;

/** A rule that looks at each thing a zone shows; it names the entry where there are several. */
abstract class ItemRule implements Rule
{
    public function check(ZonePlan $zone): array
    {
        $findings = [];
        foreach ($zone->items as $item) {
            foreach ($item->walk() as $one) {
                $finding = $this->judge($one, $zone);
                // What every row has is said once.
                if ($finding !== null) {
                    $findings[json_encode($finding->toArray(), \JSON_THROW_ON_ERROR)] = $finding;
                }
            }
        }

        return array_values($findings);
    }

    abstract protected function judge(Item $item, ZonePlan $zone): ?Finding;

    /** @param array<string, string|int> $params */
    protected function finding(
        string $code,
        Severity $severity,
        ZonePlan $zone,
        Item $item,
        array $params = [],
    ): Finding {
        return self::found($code, $severity, $zone, $item, $params);
    }

    /**
     * With the place of the entry, where there are several.
     *
     * @param array<string, string|int> $params
     */
    public static function found(
        string $code,
        Severity $severity,
        ZonePlan $zone,
        Item $item,
        array $params = [],
    ): Finding {
        $where = $item->entry === null ? '' : '/fill/entries/'.self::index($zone, $item->entry);

        return Finding::of(
            $code,
            $severity,
            $zone->path().$where,
            [
                'zone' => $zone->zone->id,
                'letter' => $zone->zone->letter(),
                'entry' => $item->entry ?? '',
                'what' => $item->media->name ?? '',
            ] + $params,
        );
    }

    /** Of what says nothing: a pane of it is a hole in the picture, a float lies over something that does. */
    protected static function ofNothing(ZonePlan $zone): Severity
    {
        return $zone->placed->isFloat ? Severity::Caution : Severity::Stop;
    }

    /** RFC 6901 wants the index in the list, disabled entries counted. */
    private static function index(ZonePlan $zone, string $entry): int
    {
        $fill = $zone->zone->fill();
        $ids = $fill instanceof PlaylistFill ? array_map(static fn (Entry $one) => $one->id, $fill->entries) : [];

        return (int) array_search($entry, $ids, true);
    }

    protected static function percent(Rational $share): string
    {
        return $share->times(Rational::of(100))->plain(1);
    }
}
