<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Time\Midnights;
use UpperPane\Core\Time\OffsetTable;

/**
 * What of a site's plans depends on dates, over the days ahead (model §11): its midnights, from which what runs on
 * counts, and the changes of its clocks. It begins with a civil day, so that it is the same one all that day, and is
 * sealed anew with the next: a plan sealed long ago goes by it.
 */
final readonly class Almanac
{
    public const VERSION = 1;
    public const DAYS = 35;
    private const DAY_MS = 86_400_000;

    /**
     * @param list<int>                                 $days    instants in ms
     * @param list<array{from_ms: int, offset_s: int}>  $offsets the first holds at the beginning
     * @param array<string, array<string, ListDates>>   $lists   that have hours: by the hash of their plan and by zone
     */
    private function __construct(
        private string $zone,
        private int $fromMs,
        private int $untilMs,
        private array $days,
        private array $offsets,
        private array $lists = [],
    ) {
    }

    public static function of(\DateTimeZone $zone, int $nowMs): self
    {
        $fromMs = Midnights::over($zone, $nowMs, $nowMs + 1)[0];
        $untilMs = $fromMs + self::DAYS * self::DAY_MS;

        return new self(
            $zone->getName(),
            $fromMs,
            $untilMs,
            Midnights::over($zone, $fromMs, $untilMs),
            OffsetTable::over($zone, $fromMs, $untilMs),
        );
    }

    public function sha256(): string
    {
        return CanonicalJson::sha256($this->toArray());
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'almanac' => self::VERSION,
            'zone' => $this->zone,
            'from_ms' => $this->fromMs,
            'until_ms' => $this->untilMs,
            'days' => $this->days,
            'offsets' => $this->offsets,
        ] + ($this->lists === [] ? [] : ['lists' => array_map(ListDates::all(...), $this->lists)]);
    }

    /** @param array<string, array<string, ListDates>> $lists by the hash of their plan and by zone */
    public function with(array $lists): self
    {
        return new self($this->zone, $this->fromMs, $this->untilMs, $this->days, $this->offsets, $lists);
    }

    /**
     * The lists with hours of a plan over its days.
     *
     * @param array<string, mixed>     $plan    as it is sealed
     * @param list<int>                $showing when its showings began
     * @param array<string, ListDates> $before  of the almanac before
     *
     * @return array<string, ListDates> by zone
     */
    public function lists(array $plan, array $showing, array $before): array
    {
        $zone = new \DateTimeZone($this->zone);

        return ListDates::ofPlan($plan, $showing, $zone, $this->fromMs, $this->untilMs, $before);
    }

    /**
     * What a page needs that draws a plan at an instant of its own.
     *
     * @param array<string, mixed> $plan    as it is sealed
     * @param list<int>            $showing when its showings began; from the instant on where there are none
     *
     * @return array{now_ms: int, days: list<int>, offsets: list<array{from_ms: int, offset_s: int}>,
     *     lists: array<string, array<string, mixed>>}
     */
    public static function dates(\DateTimeZone $zone, int $nowMs, array $plan, array $showing = []): array
    {
        $almanac = self::of($zone, $nowMs);

        return [
            'now_ms' => $nowMs,
            'days' => $almanac->days,
            'offsets' => $almanac->offsets,
            'lists' => ListDates::all($almanac->lists($plan, $showing, [])),
        ];
    }
}
