<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** When something is on, as far as people say it in a sentence: a first day, a time of day to another, a rule. */
final readonly class When
{
    /**
     * @param int     $start civil seconds of the first start
     * @param string  $end   time of day, `HH:MM` or `HH:MM:SS`, `24:00` too
     * @param ?int    $days  so many days later than the start; null: the same day, or the next one
     * @param ?string $rrule RFC 5545 §3.3.10; null: once
     */
    public function __construct(public int $start, public string $end, public ?int $days, public ?string $rrule)
    {
    }

    /**
     * @param Input $input with `start`, `end`, `days`, `rrule`
     *
     * @throws Refusal as {@see Windows::parse()}
     */
    public static function parse(Input $input): self
    {
        Windows::parse($input);
        $rrule = $input->optional('rrule');

        return new self(
            Recurrence::parse($input)->start,
            $input->text('end', 8),
            $input->optional('days')?->asInt(0, 31),
            $rrule === null || $rrule->isNull() ? null : strtoupper($rrule->asText()),
        );
    }

    public function windows(): Windows
    {
        return Windows::parse(Input::of($this->toArray()));
    }

    /** @return array{start: string, end: string, days?: int, rrule?: string} */
    public function toArray(): array
    {
        return ['start' => gmdate('Y-m-d\TH:i:s', $this->start), 'end' => $this->end]
            + ($this->days === null ? [] : ['days' => $this->days])
            + ($this->rrule === null ? [] : ['rrule' => $this->rrule]);
    }
}
