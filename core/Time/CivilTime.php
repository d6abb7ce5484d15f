<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * A date and time of day as it is said at the site, in no zone. Where clocks are put back and it comes twice, the first
 * is meant; where they are put forward and it never comes, what it would be without that (RFC 5545 §3.3.5).
 */
final readonly class CivilTime
{
    private const DAY_S = 86_400;

    private function __construct(public string $text)
    {
    }

    /** @throws Refusal `time.civil` unless it is like `2026-12-24T18:00`, with or without seconds, and is a day */
    public static function parse(Input $input): self
    {
        $text = $input->asText(19);
        $whole = strlen($text) === 16 ? "$text:00" : $text;
        $read = \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i:s', $whole, new \DateTimeZone('UTC'));
        if ($read === false || $read->format('Y-m-d\TH:i:s') !== $whole) {
            throw Refusal::because('time.civil', $input->path, ['value' => $text]);
        }

        return new self($whole);
    }

    /** The instant in ms since 1970. */
    public function instantMs(\DateTimeZone $zone): int
    {
        $civil = (new \DateTimeImmutable($this->text, new \DateTimeZone('UTC')))->getTimestamp();
        $offsets = array_column(
            OffsetTable::over($zone, ($civil - self::DAY_S) * 1000, ($civil + self::DAY_S) * 1000),
            'offset_s',
        );
        foreach ($offsets as $offset) {
            if ($zone->getOffset(new \DateTimeImmutable('@'.($civil - $offset))) === $offset) {
                return ($civil - $offset) * 1000;
            }
        }

        return ($civil - $offsets[0]) * 1000;
    }
}
