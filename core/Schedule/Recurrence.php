<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * When something begins, again and again (RFC 5545 §3.8.5): a start, a rule, single starts beside it and starts taken
 * out. All are civil times of the site.
 */
final readonly class Recurrence
{
    private const DAY = 86_400;
    private const MOST_DATES = 5000;
    /** In so many years a rule comes, or never does: the calendar repeats itself after 400 (ISO 8601). */
    private const SEARCHED_YEARS = 400;
    /** Calendar programs and zone tables reach so far. */
    private const YEARS = [1970, 2400];

    private ?Occurrences $occurrences;

    /**
     * @param int       $start civil seconds
     * @param list<int> $more  civil seconds, rising
     * @param list<int> $out   civil seconds
     */
    private function __construct(public int $start, public ?Rule $rule, public array $more, public array $out)
    {
        $this->occurrences = $rule === null ? null : new Occurrences($rule, $start);
    }

    /**
     * @param Input $input with `start`, `rrule`, `rdate`, `exdate`
     *
     * @throws Refusal `time.civil`, `recurrence.…`; `recurrence.start` names the first date that the rule has
     */
    public static function parse(Input $input): self
    {
        $start = self::civil($input->child('start'));
        $rule = $input->has('rrule') && !$input->child('rrule')->isNull()
            ? Rule::parse($input->child('rrule'))
            : null;
        $dates = static function (string $key) use ($input): array {
            $dates = $input->has($key) ? array_map(self::civil(...), $input->list($key, self::MOST_DATES)) : [];
            sort($dates);

            return $dates;
        };
        $made = new self($start, $rule, $dates('rdate'), $dates('exdate'));
        if ($rule !== null && $made->first() !== $start) {
            throw $made->first() === null
                ? Refusal::because('recurrence.never', $input->pathTo('rrule'), ['rule' => $rule->text])
                : Refusal::because('recurrence.start', $input->pathTo('start'), [
                    'start' => self::written($start),
                    'first' => self::written($made->first()),
                ]);
        }

        return $made;
    }

    /**
     * The starts from one civil second to another, both included, each once.
     *
     * @return \Generator<int, int> rising
     */
    public function between(int $from, int $until, ZoneTime $zone): \Generator
    {
        $more = array_values(array_filter($this->more, static fn (int $at) => $at >= $from && $at <= $until));
        if ($this->occurrences === null && $this->start >= $from && $this->start <= $until) {
            $more = [...$more, $this->start];
            sort($more);
        }
        $out = array_flip($this->out);
        $last = null;
        foreach ($this->merged($this->ruled($from, $until, $zone), $more) as $at) {
            if ($at !== $last && !isset($out[$at])) {
                yield $at;
            }
            $last = $at;
        }
    }

    /** @return iterable<int> */
    private function ruled(int $from, int $until, ZoneTime $zone): iterable
    {
        return $this->occurrences?->between($from, $until, $zone->instant(...)) ?? [];
    }

    /**
     * @param iterable<int> $ruled rising
     * @param list<int>     $more  rising
     *
     * @return \Generator<int, int>
     */
    private function merged(iterable $ruled, array $more): \Generator
    {
        $next = 0;
        foreach ($ruled as $at) {
            for (; isset($more[$next]) && $more[$next] <= $at; ++$next) {
                yield $more[$next];
            }
            yield $at;
        }
        yield from array_slice($more, $next);
    }

    /** The first start that a rule has from a civil second on, as if it began there; null when it never comes. */
    public static function firstOf(Rule $rule, int $from): ?int
    {
        return (new self($from, $rule, [], []))->first();
    }

    /** The first that the rule has from the start on, whatever its end; null when it never comes. */
    private function first(): ?int
    {
        $until = $this->start + self::SEARCHED_YEARS * 366 * self::DAY;
        foreach ($this->occurrences?->between($this->start, $until, static fn () => \PHP_INT_MIN) ?? [] as $at) {
            return $at;
        }

        return null;
    }

    /** @throws Refusal `time.civil` */
    private static function civil(Input $input): int
    {
        $text = $input->asText(19);
        $whole = strlen($text) === 16 ? "$text:00" : $text;
        $read = \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i:s', $whole, new \DateTimeZone('UTC'));
        $isDay = $read !== false && $read->format('Y-m-d\TH:i:s') === $whole;
        if (!$isDay || (int) $read->format('Y') < self::YEARS[0] || (int) $read->format('Y') > self::YEARS[1]) {
            throw Refusal::because('time.civil', $input->path, ['value' => $text]);
        }

        return $read->getTimestamp();
    }

    private static function written(int $civil): string
    {
        return gmdate('Y-m-d\TH:i:s', $civil);
    }
}
