<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Time\OffsetTable;

/**
 * Civil seconds of a site → instants. What comes twice is the first, what never comes is read with the offset before
 * the gap (RFC 5545 §3.3.5).
 */
final class ZoneTime
{
    private const DAY = 86_400;
    /** So much of the zone's table is read at once. */
    private const READ = 4 * 366 * self::DAY;

    /** @var array<int, list<array{from_ms: int, offset_s: int}>> by stretch */
    private array $tables = [];

    public function __construct(private readonly \DateTimeZone $zone)
    {
    }

    /** @throws Refusal `time.zone` when there is none of that name */
    public static function named(Input $input): self
    {
        $name = $input->asText(60);
        $known = \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC);

        return in_array($name, $known, true)
            ? new self(new \DateTimeZone($name))
            : throw Refusal::because('time.zone', $input->path, ['zone' => $name]);
    }

    /** In seconds since 1970, UTC. */
    public function instant(int $civil): int
    {
        // No offset is larger than a day; the earliest instant at which the clock shows it is the first.
        $table = $this->around($civil);
        $before = $table[0]['offset_s'];
        foreach ($table as $index => ['from_ms' => $from, 'offset_s' => $offset]) {
            $at = $civil - $offset;
            $until = $table[$index + 1]['from_ms'] ?? \PHP_INT_MAX;
            if ($at * 1000 < $until) {
                return $index === 0 || $at * 1000 >= $from ? $at : $civil - $before;
            }
            $before = $offset;
        }
        throw new \LogicException('The last offset holds on.');
    }

    /** What the site's clock shows at an instant, in civil seconds. */
    public function civil(int $instant): int
    {
        $near = $this->around($instant);
        $offset = $near[0]['offset_s'];
        foreach ($near as $step) {
            $offset = $step['from_ms'] <= $instant * 1000 ? $step['offset_s'] : $offset;
        }

        return $instant + $offset;
    }

    /**
     * @return non-empty-list<array{from_ms: int, offset_s: int}> the offsets within a day of a second, the first of
     *     them before
     */
    private function around(int $second): array
    {
        $stretch = Days::quotient($second, self::READ);
        $table = $this->tables[$stretch] ??= OffsetTable::over(
            $this->zone,
            ($stretch * self::READ - 2 * self::DAY) * 1000,
            (($stretch + 1) * self::READ + 2 * self::DAY) * 1000,
        );
        $near = [];
        foreach ($table as $step) {
            if ($near === [] || $step['from_ms'] <= ($second - self::DAY) * 1000) {
                $near = [$step];
            } elseif ($step['from_ms'] <= ($second + self::DAY) * 1000) {
                $near[] = $step;
            }
        }

        return $near === [] ? throw new \LogicException('A zone has an offset.') : $near;
    }
}
