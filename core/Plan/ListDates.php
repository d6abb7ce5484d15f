<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Schedule\Windows;
use UpperPane\Core\Schedule\ZoneTime;
use UpperPane\Core\Time\Cycles;
use UpperPane\Core\Time\Edges;
use UpperPane\Core\Time\Midnights;
use UpperPane\Core\Time\Order;
use UpperPane\Core\Time\Orders;
use UpperPane\Core\Time\Sequence;
use UpperPane\Core\Time\Timeline;
use UpperPane\Core\Time\Turn;

/**
 * A list whose entries have days and hours, over the days of an almanac (model §6, §11): which entries are on together
 * from when, and, of what began before those days, what plays at their beginning. That goes on from the almanac before
 * and is never reckoned again.
 */
final readonly class ListDates
{
    /** So far back something is looked at that no almanac knows: what a list played then leads to what it plays now. */
    private const BACK_MS = 35 * 86_400_000;

    /**
     * @param array<int, array{from_ms: int, set: int}> $starts what plays at the beginning, by when it began
     */
    private function __construct(
        private Edges $edges,
        private int $fromMs,
        private array $starts,
        private ?Orders $orders,
    ) {
    }

    /**
     * Those of a plan that have days and hours.
     *
     * @param array<string, mixed> $plan    as it is sealed
     * @param list<int>            $showing when its showings began
     * @param array<string, self>  $before  of the almanac before
     *
     * @return array<string, self> by zone
     */
    public static function ofPlan(
        array $plan,
        array $showing,
        \DateTimeZone $zone,
        int $fromMs,
        int $untilMs,
        array $before = [],
    ): array {
        $lists = self::lists($plan);
        if ($lists === []) {
            return [];
        }
        $began = self::began($plan, $showing, $fromMs);
        $time = new ZoneTime($zone);
        $dates = [];
        foreach ($lists as $id => $list) {
            ['items' => $items, 'runs_on' => $runsOn] = $list;
            $orders = self::orders((string) $id, $list['order'], $items, $zone, $fromMs, $untilMs);
            $edges = self::edges($items, $time, $fromMs, $untilMs, $list['after'])->ordered($orders);
            $starts = [];
            foreach ($runsOn ? [] : $began[$id] ?? [] as $beganMs) {
                $known = ($before[$id] ?? null)?->places($beganMs, $fromMs)
                    ?? self::back($items, $list['after'], $time, $orders, $beganMs, $fromMs);
                [$edges, $set] = $edges->having($known['places']);
                $starts[$beganMs] = ['from_ms' => $known['from_ms'], 'set' => $set];
            }
            $dates[$id] = new self($edges, $fromMs, $starts, $orders);
        }

        return $dates;
    }

    /** @param array<string, mixed> $plan as it is sealed */
    public static function areIn(array $plan): bool
    {
        return self::lists($plan) !== [];
    }

    /**
     * @param array<string, mixed> $plan  as it is sealed
     * @param array<string, mixed> $lists as {@see self::all()} wrote them
     *
     * @return array<string, self> by zone; those that are written
     */
    public static function sealed(array $plan, array $lists): array
    {
        $known = array_intersect_key(self::lists($plan), $lists);

        $read = [];
        foreach ($known as $zone => ['items' => $items, 'after' => $after]) {
            $ms = array_map(static fn (Input $item) => $item->int('ms', 1, \PHP_INT_MAX), $items);
            $read[$zone] = self::read(Input::of($lists[$zone]), $ms, self::between($items), $after);
        }

        return $read;
    }

    /**
     * @param array<string, self> $lists by zone
     *
     * @return array<string, array<string, mixed>>
     */
    public static function all(array $lists): array
    {
        return array_map(static fn (self $list) => $list->toArray(), $lists);
    }

    /**
     * What shows at an instant, of what began at another.
     *
     * @return ?array{index: int, since_ms: int, left_ms: int} null: nothing is on
     */
    public function showing(int $beganMs, int $atMs): ?array
    {
        return $this->edges->showing($this->run($beganMs, $atMs), $atMs);
    }

    /** The same, and which step it is. */
    public function turn(int $beganMs, int $atMs): ?Turn
    {
        return $this->edges->turn($this->run($beganMs, $atMs), $atMs);
    }

    /** Those that are on at an instant, in the order in which they come. */
    public function sequenceAt(int $atMs): Sequence
    {
        return $this->edges->sequenceAt($atMs);
    }

    /**
     * @param list<int>  $ms of its entries
     * @param list<bool> $between
     */
    private static function read(Input $input, array $ms, array $between, int $after): self
    {
        $ints = static fn (string $key): array => array_map(
            static fn (Input $one) => $one->asInt(0, \PHP_INT_MAX),
            $input->list($key, \PHP_INT_MAX),
        );
        [$from, $set] = [$ints('from_ms'), $ints('set')];
        $starts = [];
        foreach ($input->list('starts', \PHP_INT_MAX) as $start) {
            $starts[$start->int('began_ms', 0, \PHP_INT_MAX)] = [
                'from_ms' => $start->int('from_ms', 0, \PHP_INT_MAX),
                'set' => $start->int('set', 0, \PHP_INT_MAX),
            ];
        }

        $orders = $input->has('orders') ? self::readOrders($input->child('orders')) : null;

        return new self(
            Edges::of(
                $ms,
                array_map(
                    static fn (Input $set) => array_map(
                        static fn (Input $place) => $place->asInt(0, count($ms) - 1),
                        $set->asList(\PHP_INT_MAX),
                    ),
                    $input->list('sets', \PHP_INT_MAX),
                ),
                Timeline::of(array_map(
                    static fn (int $at, int $value) => ['from_ms' => $at, 'value' => $value],
                    $from,
                    $set,
                )),
            )->ordered($orders)->interleaved($between, $after),
            $from[0] ?? 0,
            $starts,
            $orders,
        );
    }

    /**
     * @return array{sets: list<list<int>>, from_ms: list<int>, set: list<int>,
     *     starts: list<array{began_ms: int, from_ms: int, set: int}>,
     *     orders?: array{from_ms: list<int>, orders: list<list<list<int>>>}}
     */
    public function toArray(): array
    {
        return [
            'sets' => $this->edges->sets(),
            'from_ms' => $this->edges->timeline()->from(),
            'set' => $this->edges->timeline()->values(),
            'starts' => array_map(
                static fn (int $began, array $run) => ['began_ms' => $began] + $run,
                array_keys($this->starts),
                $this->starts,
            ),
        ] + ($this->orders === null ? [] : ['orders' => $this->orders->toArray()]);
    }

    /**
     * What plays at an instant of what began at another, in places: the sets of the next almanac are others.
     *
     * @return ?array{from_ms: int, places: list<int>} null where it does not know
     */
    private function places(int $beganMs, int $atMs): ?array
    {
        if ($beganMs < $this->fromMs && !isset($this->starts[$beganMs])) {
            return null;
        }
        $run = $this->run($beganMs, $atMs);

        return ['from_ms' => $run['from_ms'], 'places' => $this->edges->sets()[$run['set']]];
    }

    /** @return array{from_ms: int, set: int} */
    private function run(int $beganMs, int $atMs): array
    {
        $start = $this->starts[$beganMs] ?? null;

        return $start === null
            ? $this->edges->run($beganMs, $this->edges->setAt($beganMs), $atMs)
            : $this->edges->run($start['from_ms'], $start['set'], $atMs, $this->fromMs);
    }

    /**
     * @param list<Input> $items
     *
     * @return array{from_ms: int, places: list<int>}
     */
    private static function back(
        array $items,
        int $after,
        ZoneTime $time,
        ?Orders $orders,
        int $beganMs,
        int $fromMs,
    ): array {
        $backMs = max($beganMs, $fromMs - self::BACK_MS);
        $edges = self::edges($items, $time, $backMs, $fromMs + 1, $after)->ordered($orders);

        return (new self($edges, $backMs, [], $orders))->places($backMs, $fromMs)
            ?? throw new \LogicException('What begins with its edges is known.');
    }

    /**
     * @param list<Input> $items
     *
     * @return ?Orders null: as they are listed
     */
    private static function orders(
        string $id,
        Order $order,
        array $items,
        \DateTimeZone $zone,
        int $fromMs,
        int $untilMs,
    ): ?Orders {
        if ($order === Order::Listed) {
            return null;
        }
        // A pass may have begun some days before.
        $days = Midnights::over($zone, $fromMs - Cycles::HORIZON_MS, $untilMs);
        $entries = array_map(static fn (Input $item) => $item->text('entry', 64), $items);

        return Orders::by($order, $id, $entries, $days, $zone);
    }

    private static function readOrders(Input $input): Orders
    {
        /** @var array{from_ms: list<int>, orders: list<list<list<int>>>} $sealed as it was written */
        $sealed = $input->raw();

        return Orders::of($sealed['from_ms'], $sealed['orders']);
    }

    /** @param list<Input> $items */
    private static function edges(array $items, ZoneTime $time, int $fromMs, int $untilMs, int $after): Edges
    {
        return Edges::over(
            array_map(static fn (Input $item) => $item->int('ms', 1, \PHP_INT_MAX), $items),
            array_map(
                static fn (Input $item) => $item->has('when')
                    ? self::on($item->child('when'), $time, $fromMs, $untilMs)
                    : null,
                $items,
            ),
            array_map(static fn (Input $item) => $item->has('alone'), $items),
            $fromMs,
        )->interleaved(self::between($items), $after);
    }

    /**
     * @param list<Input> $items
     *
     * @return list<bool>
     */
    private static function between(array $items): array
    {
        return array_map(static fn (Input $item) => $item->has('between'), $items);
    }

    /** @return iterable<array{from_ms: int, until_ms: int}> */
    private static function on(Input $when, ZoneTime $time, int $fromMs, int $untilMs): iterable
    {
        $windows = Windows::parse($when)->over(intdiv($fromMs, 1000), intdiv($untilMs + 999, 1000), $time);
        foreach ($windows as ['from_s' => $from, 'until_s' => $until]) {
            yield ['from_ms' => 1000 * $from, 'until_ms' => 1000 * $until];
        }
    }

    /**
     * @param array<string, mixed> $plan
     *
     * @return array<string, array{items: list<Input>, runs_on: bool, order: Order, after: int}> by zone
     */
    private static function lists(array $plan): array
    {
        $lists = [];
        foreach (($plan['plan'] ?? 1) === 1 ? [] : Input::of($plan)->child('scenes')->members() as $scene) {
            foreach ($scene->list('zones') as $zone) {
                $items = $zone->list('items');
                $order = $zone->has('order') ? $zone->enum('order', Order::class) : Order::Listed;
                $timed = array_filter($items, static fn (Input $item) => $item->has('when')) !== [];
                // Without an entry that is enabled it shows one thing.
                if (($timed || $order !== Order::Listed) && !$zone->child('cycle_ms')->isNull()) {
                    $lists[$zone->id('id')] = [
                        'items' => $items,
                        'runs_on' => $zone->bool('runs_on'),
                        'order' => $order,
                        'after' => $zone->has('after') ? $zone->int('after', 1, \PHP_INT_MAX) : 1,
                    ];
                }
            }
        }

        return $lists;
    }

    /**
     * When the zones of the scenes that show at an instant began, by zone.
     *
     * @param array<string, mixed> $plan
     * @param list<int>            $showing
     *
     * @return array<string, list<int>> those that began before it
     */
    private static function began(array $plan, array $showing, int $atMs): array
    {
        $began = [];
        foreach (array_unique($showing) as $startMs) {
            $now = RoundPlan::read(Input::of($plan)->child('round'))->at($atMs - $startMs);
            if ($startMs >= $atMs || $now['since_ms'] === 0) {
                continue;
            }
            foreach (Input::of($plan)->child('scenes')->child($now['scene'])->list('zones') as $zone) {
                $began[$zone->id('id')][] = $atMs - $now['since_ms'];
            }
        }

        return $began;
    }
}
