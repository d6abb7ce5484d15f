<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

/** How often a rule comes round (RFC 5545 §3.3.10, FREQ). */
enum Frequency: string
{
    case Yearly = 'YEARLY';
    case Monthly = 'MONTHLY';
    case Weekly = 'WEEKLY';
    case Daily = 'DAILY';
    case Hourly = 'HOURLY';
    case Minutely = 'MINUTELY';
    case Secondly = 'SECONDLY';

    /** Of what comes more often than once a day, its length; null for what comes by days. */
    public function seconds(): ?int
    {
        return match ($this) {
            self::Yearly, self::Monthly, self::Weekly, self::Daily => null,
            self::Hourly => 3600,
            self::Minutely => 60,
            self::Secondly => 1,
        };
    }
}
