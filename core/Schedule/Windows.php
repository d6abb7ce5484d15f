<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Time\Timeline;

/** The stretches in which an entry holds: one for each of its occurrences (model §8, Windows). */
final readonly class Windows
{
    private const DISORDER_S = 2 * 86_400;

    /**
     * @param list<Calendar> $only
     * @param list<Calendar> $not
     */
    private function __construct(
        public Recurrence $recurrence,
        public Span $span,
        private array $only = [],
        private array $not = [],
    ) {
    }

    /**
     * @param Input $input with `start`, `end`, `days`, `rrule`, `rdate`, `exdate`
     *
     * @throws Refusal
     */
    public static function parse(Input $input): self
    {
        $recurrence = Recurrence::parse($input);
        $span = Span::parse($input->child('end'), $input->optional('days'), $recurrence->start % 86_400);

        return new self($recurrence, $span);
    }

    /**
     * Only on the days of some calendars, if any, and not on those of others, by the civil day on which an occurrence
     * starts.
     *
     * @param list<Calendar> $only
     * @param list<Calendar> $not
     */
    public function on(array $only, array $not): self
    {
        return new self($this->recurrence, $this->span, $only, $not);
    }

    /**
     * Those that overlap [from, until), by from, equal ones once; what a gap leaves without time is none.
     *
     * @return \Generator<int, array{from_s: int, until_s: int}> seconds since 1970, UTC
     */
    public function over(int $fromS, int $untilS, ZoneTime $zone): \Generator
    {
        $held = [];
        $sent = 0;
        $starts = $this->recurrence->between(
            $zone->civil($fromS) - $this->span->reach(),
            $zone->civil($untilS) + 86_400,
            $zone,
        );
        foreach ($starts as $start) {
            if (!$this->isOn(Days::quotient($start, 86_400))) {
                continue;
            }
            $from = $zone->instant($start);
            $until = $zone->instant($this->span->endOf($start));
            if ($from >= $until || $from >= $untilS || $until <= $fromS) {
                continue;
            }
            // Where the clock goes forward, what begins in the gap comes behind what begins after it: no two starts
            // that are further apart are out of order.
            for (; isset($held[$sent]) && $held[$sent]['from_s'] < $from - self::DISORDER_S; ++$sent) {
                yield $held[$sent];
                unset($held[$sent]);
            }
            $window = ['from_s' => $from, 'until_s' => $until];
            $end = $place = $sent + count($held);
            while ($place > $sent && $held[$place - 1]['from_s'] > $from) {
                --$place;
            }
            // The hour that never comes and the one behind it begin alike.
            if ($place > $sent && $held[$place - 1] === $window) {
                continue;
            }
            for (; $end > $place; --$end) {
                $held[$end] = $held[$end - 1];
            }
            $held[$place] = $window;
        }
        for (; isset($held[$sent]); ++$sent) {
            yield $held[$sent];
        }
    }

    private function isOn(int $day): bool
    {
        $hasIt = static fn (Calendar $calendar) => $calendar->has($day);

        return ($this->only === [] || array_filter($this->only, $hasIt) !== [])
            && array_filter($this->not, $hasIt) === [];
    }

    /**
     * What holds: where two of its windows overlap the later one wins and starts anew. A value is the instant at which
     * it began, in ms.
     *
     * @return Timeline<?int>
     */
    public function timeline(int $fromMs, int $untilMs, ZoneTime $zone): Timeline
    {
        $steps = [];
        $windows = iterator_to_array(
            $this->over(Days::quotient($fromMs, 1000), Days::quotient($untilMs + 999, 1000), $zone),
            false,
        );
        foreach ($windows as $index => ['from_s' => $from, 'until_s' => $until]) {
            $next = $windows[$index + 1]['from_s'] ?? \PHP_INT_MAX;
            $steps[] = ['from_ms' => $from * 1000, 'value' => $from * 1000];
            if ($until < $next) {
                $steps[] = ['from_ms' => $until * 1000, 'value' => null];
            }
        }

        return Timeline::of($steps);
    }
}
