<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** From a civil start to a civil time of day, so many days later: how long an occurrence lasts (model §8, Windows). */
final readonly class Span
{
    private const DAY = 86_400;
    private const MOST_DAYS = 31;

    /**
     * @param ?int $days null: the same day, or the next one where it would end before it begins
     * @param int  $end  seconds of the day, up to and including 24:00
     */
    private function __construct(private ?int $days, private int $end)
    {
    }

    /**
     * @param int $start seconds of the day
     *
     * @throws Refusal `time.of_day`, `schedule.end_before`
     */
    public static function parse(Input $end, ?Input $days, int $start): self
    {
        $text = $end->asText(8);
        if (preg_match('/^([01]\d|2[0-3]):([0-5]\d)(?::([0-5]\d))?$|^24:00(?::00)?$/D', $text, $part) !== 1) {
            throw Refusal::because('time.of_day', $end->path, ['value' => $text]);
        }
        $seconds = isset($part[1])
            ? 3600 * (int) $part[1] + 60 * (int) $part[2] + (int) ($part[3] ?? 0)
            : self::DAY;
        $later = $days?->asInt(0, self::MOST_DAYS);
        if ($later === 0 && $seconds <= $start) {
            throw Refusal::because('schedule.end_before', $end->path, ['end' => $text]);
        }

        return new self($later, $seconds);
    }

    /** What begins longer before an instant is over then, in seconds; with room for a clock that is changed. */
    public function reach(): int
    {
        return (($this->days ?? 1) + 3) * self::DAY;
    }

    /** The civil second at which what begins then ends. */
    public function endOf(int $start): int
    {
        $day = Days::quotient($start, self::DAY);
        $days = $this->days ?? ($this->end <= $start - $day * self::DAY ? 1 : 0);

        return ($day + $days) * self::DAY + $this->end;
    }
}
