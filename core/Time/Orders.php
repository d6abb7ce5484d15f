<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

/**
 * The orders in which a list that is shuffled plays (model §6): one for every civil day, or eight where it is random,
 * of which each pass takes the next. The same on every player, because they follow from the names alone.
 */
final readonly class Orders
{
    private const RANDOM = 8;

    /** @param Timeline<list<list<int>>> $days of each day: the places of all entries, one order or several */
    private function __construct(private Timeline $days)
    {
    }

    /**
     * @param list<int>             $from
     * @param list<list<list<int>>> $orders
     */
    public static function of(array $from, array $orders): self
    {
        return new self(Timeline::of(array_map(
            static fn (int $ms, array $day) => ['from_ms' => $ms, 'value' => $day],
            $from,
            $orders,
        )));
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

        return self::of($days, $orders);
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
        if (count($this->day($fromMs)) < 2) {
            return $order;
        }
        if (count($set) < 3) {
            return $set;
        }
        $last = $before === null ? null : $this->sorting($set, $number - 1, $before)[count($set) - 1];

        return $order[0] === $last ? [$order[1], $order[0], ...array_slice($order, 2)] : $order;
    }

    /** @return array{from_ms: list<int>, orders: list<list<list<int>>>} */
    public function toArray(): array
    {
        return ['from_ms' => $this->days->from(), 'orders' => $this->days->values()];
    }

    /**
     * @param list<int> $set
     *
     * @return list<int>
     */
    private function sorting(array $set, int $number, int $fromMs): array
    {
        $orders = $this->day($fromMs);

        return array_values(array_intersect($orders[$number % count($orders)], $set));
    }

    /** @return list<list<int>> of the day on which a pass begins; before the first day those of it */
    private function day(int $ms): array
    {
        return $this->days->at($ms) ?? $this->days->values()[0];
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
