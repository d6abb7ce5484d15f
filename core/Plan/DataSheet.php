<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\CanonicalJson;

/**
 * What in a plan depends on data, for one set of deliveries (model §7). The plan names its sheet by a key, orders say
 * which one that is, by its hash: so new data is a new sheet and never a new plan. Player and plan join by zone. A
 * design without data has the empty one.
 */
final readonly class DataSheet
{
    public const VERSION = 1;
    /** What a plan calls its sheet. Plans sealed before there were keys hold the hash of the empty sheet instead. */
    public const KEY = 's1';

    /** @param array<string, list<array<string, mixed>>> $zones drawings by zone id */
    private function __construct(private array $zones)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    public function sha256(): string
    {
        return CanonicalJson::sha256($this->toArray());
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['sheet' => self::VERSION, 'zones' => (object) $this->zones];
    }
}
