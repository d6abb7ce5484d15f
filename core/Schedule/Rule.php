<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** A recurrence rule (RFC 5545 §3.3.10), read and judged; what it leaves out comes from where it begins. */
final readonly class Rule
{
    public const WEEKDAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
    private const MOST_CHARACTERS = 2000;
    private const MOST_INTERVAL = 1_000_000;
    /** So many are counted one by one. */
    private const MOST_COUNT = 100_000;
    /** Least, most, and whether it may be counted from the end. */
    private const LISTS = [
        'BYSECOND' => [0, 60, false],
        'BYMINUTE' => [0, 59, false],
        'BYHOUR' => [0, 23, false],
        'BYMONTHDAY' => [1, 31, true],
        'BYYEARDAY' => [1, 366, true],
        'BYWEEKNO' => [1, 53, true],
        'BYMONTH' => [1, 12, false],
        'BYSETPOS' => [1, 366, true],
    ];
    /** With which frequencies a part says nothing (RFC 5545 §3.3.10). */
    private const NOT_WITH = [
        'BYWEEKNO' => ['MONTHLY', 'WEEKLY', 'DAILY', 'HOURLY', 'MINUTELY', 'SECONDLY'],
        'BYYEARDAY' => ['MONTHLY', 'WEEKLY', 'DAILY'],
        'BYMONTHDAY' => ['WEEKLY'],
    ];

    /**
     * @param ?int                        $untilS seconds since 1970, UTC; the last start may be at it
     * @param array<string, list<int>>    $by     lists by their names, weekdays left out; rising
     * @param list<array{?int, int}>      $days   weekdays with their number in the month or year, if any
     */
    private function __construct(
        public string $text,
        public Frequency $frequency,
        public int $interval,
        public ?int $count,
        public ?int $untilS,
        public array $by,
        public array $days,
        public int $weekStart,
    ) {
    }

    /** @throws Refusal `recurrence.…` with what is wrong */
    public static function parse(Input $input): self
    {
        $text = strtoupper($input->asText(self::MOST_CHARACTERS));
        $parts = [];
        foreach (explode(';', $text) as $part) {
            [$name, $value] = [...explode('=', $part, 2), ''];
            if ($value === '' || isset($parts[$name])) {
                throw self::wrong($input, $part);
            }
            $parts[$name] = $value;
        }
        $frequency = Frequency::tryFrom($parts['FREQ'] ?? '') ?? throw self::wrong($input, $parts['FREQ'] ?? 'FREQ');
        $known = ['FREQ', 'INTERVAL', 'COUNT', 'UNTIL', 'WKST', 'BYDAY', ...array_keys(self::LISTS)];
        foreach ($parts as $name => $value) {
            if (!in_array($name, $known, true) || in_array($frequency->value, self::NOT_WITH[$name] ?? [], true)) {
                throw self::wrong($input, "$name=$value");
            }
        }
        if (isset($parts['COUNT'], $parts['UNTIL'])) {
            throw Refusal::because('recurrence.count_and_until', $input->path);
        }
        $lists = array_intersect_key(self::LISTS, $parts);
        $by = [];
        foreach ($lists as $name => [$least, $most, $signed]) {
            $by[$name] = self::numbers($input, $name, $parts[$name], $least, $most, $signed);
        }
        $days = isset($parts['BYDAY']) ? self::days($input, $parts['BYDAY'], $frequency, isset($by['BYWEEKNO'])) : [];
        if (isset($by['BYSETPOS']) && count($by) === 1 && $days === []) {
            throw self::wrong($input, 'BYSETPOS='.$parts['BYSETPOS']);
        }
        $weekStart = array_search($parts['WKST'] ?? 'MO', self::WEEKDAYS, true);

        return new self(
            $text,
            $frequency,
            self::number($input, 'INTERVAL', $parts['INTERVAL'] ?? '1', self::MOST_INTERVAL),
            isset($parts['COUNT']) ? self::number($input, 'COUNT', $parts['COUNT'], self::MOST_COUNT) : null,
            isset($parts['UNTIL']) ? self::until($input, $parts['UNTIL']) : null,
            $by,
            $days,
            is_int($weekStart) ? $weekStart : throw self::wrong($input, 'WKST='.$parts['WKST']),
        );
    }

    private static function number(Input $input, string $name, string $value, int $most): int
    {
        return preg_match('/^\d{1,9}$/D', $value) === 1 && (int) $value >= 1 && (int) $value <= $most
            ? (int) $value
            : throw Refusal::because('recurrence.number', $input->path, [
                'part' => "$name=$value",
                'least' => 1,
                'most' => $most,
            ]);
    }

    /** @return list<int> rising, each once */
    private static function numbers(
        Input $input,
        string $name,
        string $value,
        int $least,
        int $most,
        bool $signed,
    ): array {
        $numbers = [];
        foreach (explode(',', $value) as $one) {
            $size = preg_match('/^([+-]?)\d{1,3}$/D', $one, $sign) === 1 ? abs((int) $one) : -1;
            if ($size < $least || $size > $most || ($sign[1] ?? '') !== '' && !$signed) {
                throw Refusal::because('recurrence.number', $input->path, [
                    'part' => "$name=$one",
                    'least' => $least,
                    'most' => $most,
                ]);
            }
            $numbers[] = (int) $one;
        }
        sort($numbers);

        return array_values(array_unique($numbers));
    }

    /** @return list<array{?int, int}> */
    private static function days(Input $input, string $value, Frequency $frequency, bool $byWeek): array
    {
        $days = [];
        $most = $frequency === Frequency::Monthly ? 5 : 53;
        foreach (explode(',', $value) as $one) {
            $matches = preg_match('/^([+-]?\d{1,2})?(MO|TU|WE|TH|FR|SA|SU)$/D', $one, $part) === 1;
            $number = $matches && $part[1] !== '' ? (int) $part[1] : null;
            if (!$matches || $number === 0 || abs($number ?? 0) > $most) {
                throw self::wrong($input, "BYDAY=$one");
            }
            $counts = $frequency === Frequency::Monthly || ($frequency === Frequency::Yearly && !$byWeek);
            if ($number !== null && !$counts) {
                throw Refusal::because('recurrence.day_number', $input->path, ['part' => $one]);
            }
            $days[] = [$number, (int) array_search($part[2], self::WEEKDAYS, true)];
        }

        return $days;
    }

    private static function until(Input $input, string $value): int
    {
        $read = \DateTimeImmutable::createFromFormat('!Ymd\THis\Z', $value, new \DateTimeZone('UTC'));
        if ($read === false || $read->format('Ymd\THis\Z') !== $value) {
            throw Refusal::because('recurrence.until', $input->path, ['value' => $value]);
        }

        return $read->getTimestamp();
    }

    private static function wrong(Input $input, string $part): Refusal
    {
        return Refusal::because('recurrence.part', $input->path, ['part' => mb_substr($part, 0, 60)]);
    }
}
