<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** Instants as they are written between programs (RFC 3339), in whole seconds since 1970, UTC. */
final class Instant
{
    private const YEARS = [1970, 2400];

    /** @throws Refusal `time.instant` */
    public static function parse(Input $input): int
    {
        $text = $input->asText(40);
        $read = \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i:sP', strtoupper($text));
        $offset = preg_match('/(Z|[+-]([01]\d|2[0-3]):[0-5]\d)$/iD', $text) === 1;
        $again = $read === false ? '' : $read->format('Y-m-d\TH:i:s');
        if ($read === false || !$offset || !str_starts_with(strtoupper($text), $again)) {
            throw Refusal::because('time.instant', $input->path, ['value' => $text]);
        }
        $year = (int) gmdate('Y', $read->getTimestamp());
        if ($year < self::YEARS[0] || $year > self::YEARS[1]) {
            throw Refusal::because('time.instant', $input->path, ['value' => $text]);
        }

        return $read->getTimestamp();
    }

    public static function written(int $seconds): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', $seconds);
    }
}
