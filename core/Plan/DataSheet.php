<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\CanonicalJson;

/**
 * What in a release's plans depends on data, for one set of deliveries (model §7). A plan names the sheet it wants by
 * its hash; a player joins the two by zone. A design without data wants the empty one.
 */
final readonly class DataSheet
{
    public const VERSION = 1;

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
