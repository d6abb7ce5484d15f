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
     */
    private function __construct(
        private string $zone,
        private int $fromMs,
        private int $untilMs,
        private array $days,
        private array $offsets,
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
        ];
    }

    /**
     * What a page needs that draws a plan at an instant of its own.
     *
     * @return array{now_ms: int, days: list<int>, offsets: list<array{from_ms: int, offset_s: int}>}
     */
    public static function dates(\DateTimeZone $zone, int $nowMs): array
    {
        $almanac = self::of($zone, $nowMs);

        return ['now_ms' => $nowMs, 'days' => $almanac->days, 'offsets' => $almanac->offsets];
    }
}
