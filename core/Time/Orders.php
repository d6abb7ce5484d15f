<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/**
 * The orders in which a list that is shuffled plays (model §6): one for every civil day, or eight where it is random,
 * of which each pass takes the next. The same on every player, because they follow from the names alone.
 */
final readonly class Orders
{
    public const RANDOM = 8;

    /**
     * @param list<int>             $from   when the days begin, rising
     * @param list<list<list<int>>> $orders of each day: the places of all entries, one order or several
     */
    private function __construct(private array $from, private array $orders)
    {
    }

    /**
     * @param list<int>             $from
     * @param list<list<list<int>>> $orders
     */
    public static function of(array $from, array $orders): self
    {
        return new self($from, $orders);
    }

    /**
     * @param list<string> $entries ids, by their places
     * @param list<int>    $days    when civil days begin
     */
    public static function by(Order $order, string $playlist, array $entries, array $days, \DateTimeZone $zone): self
    {
        $orders = [];
        foreach ($days as $ms) {
            $day = (new \DateTimeImmutable('@'.intdiv($ms, 1000)))->setTimezone($zone)->format('Y-m-d');
            $orders[] = $order === Order::Random
                ? array_map(
                    static fn (int $pass) => self::sorted("$playlist/$day/$pass/", $entries),
                    range(0, self::RANDOM - 1),
                )
                : [self::sorted("$playlist/$day/", $entries)];
        }

        return new self($days, $orders);
    }

    /**
     * The order of one pass of those that are on. Two alternate; from three on the first two change places where the
     * first would follow itself.
     *
     * @param list<int> $set    places
     * @param int       $number of the pass, from 0
     * @param ?int      $before when the pass before began; null: it is the first
     *
     * @return list<int> the same places
     */
    public function pass(array $set, int $number, int $fromMs, ?int $before): array
    {
        $order = $this->sorting($set, $number, $fromMs);
        if (count($this->orders[0] ?? []) < 2 || count($set) < 3) {
            return count($this->orders[0] ?? []) < 2 ? $order : $set;
        }
        $last = $before === null ? null : $this->sorting($set, $number - 1, $before)[count($set) - 1];

        return $order[0] === $last ? [$order[1], $order[0], ...array_slice($order, 2)] : $order;
    }

    /** @return array{from_ms: list<int>, orders: list<list<list<int>>>} */
    public function toArray(): array
    {
        return ['from_ms' => $this->from, 'orders' => $this->orders];
    }

    /**
     * @param list<int> $set
     *
     * @return list<int>
     */
    private function sorting(array $set, int $number, int $fromMs): array
    {
        $day = 0;
        foreach ($this->from as $index => $from) {
            $day = $from <= $fromMs ? $index : $day;
        }
        $orders = $this->orders[$day];

        return array_values(array_intersect($orders[$number % count($orders)], $set));
    }

    /**
     * @param list<string> $entries
     *
     * @return list<int>
     */
    private static function sorted(string $name, array $entries): array
    {
        $sums = array_map(static fn (string $entry) => hash('sha256', $name.$entry), $entries);
        asort($sums, \SORT_STRING);

        return array_keys($sums);
    }
}
