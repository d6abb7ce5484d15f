<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * A clock's pattern as tokens: fields of UTS #35 (Unicode date format patterns) and literal text between them. Text in
 * single quotes is literal.
 */
final readonly class ClockPattern
{
    public const FIELDS = [
        'H',
        'HH',
        'h',
        'hh',
        'mm',
        'ss',
        'a',
        'EEE',
        'EEEE',
        'd',
        'dd',
        'M',
        'MM',
        'MMM',
        'MMMM',
        'y',
        'yyyy',
    ];

    /** @param list<array{field: string}|array{text: string}> $tokens */
    private function __construct(public string $pattern, public array $tokens)
    {
    }

    /** @throws Refusal `clock.field` for a field that is not known, `clock.empty` when nothing would be shown */
    public static function parse(Input $input): self
    {
        $pattern = $input->asText(60);
        preg_match_all("/''|'((?:[^']|'')*)'|([A-Za-z])\\2*|[^A-Za-z']+|'/u", $pattern, $found, \PREG_SET_ORDER);
        $tokens = [];
        foreach ($found as $match) {
            $tokens[] = match (true) {
                ($match[2] ?? '') !== '' => ['field' => self::known($match[0], $input->path)],
                $match[0] === "''" => ['text' => "'"],
                str_starts_with($match[0], "'") && isset($match[1]) => ['text' => str_replace("''", "'", $match[1])],
                default => ['text' => $match[0]],
            };
        }
        if (array_filter($tokens, static fn (array $token) => isset($token['field'])) === []) {
            throw Refusal::because('clock.empty', $input->path);
        }

        return new self($pattern, $tokens);
    }

    /**
     * Texts among which the widest value of the clock is: every field with each of the values it can show, the other
     * fields held at a sample, digits of equal advance taken as 0…9 each.
     *
     * @return list<string>
     */
    public function candidates(): array
    {
        $texts = [];
        foreach (range(0, 9) as $digit) {
            foreach (range(0, 6) as $weekday) {
                foreach (range(0, 11) as $month) {
                    $texts[$this->write($digit, $weekday, $month)] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($texts));
    }

    private function write(int $digit, int $weekday, int $month): string
    {
        $text = '';
        foreach ($this->tokens as $token) {
            $text .=
                $token['text'] ??
                match ($token['field'] ?? '') {
                    'EEE' => ClockNames::WEEKDAYS_SHORT[$weekday],
                    'EEEE' => ClockNames::WEEKDAYS[$weekday],
                    'MMM' => ClockNames::MONTHS_SHORT[$month],
                    'MMMM' => ClockNames::MONTHS[$month],
                    'a' => $digit % 2 === 0 ? 'am' : 'pm',
                    'y', 'yyyy' => str_repeat((string) $digit, 4),
                    default => str_repeat((string) $digit, 2),
                };
        }

        return $text;
    }

    private static function known(string $field, string $path): string
    {
        return in_array($field, self::FIELDS, true)
            ? $field
            : throw Refusal::because('clock.field', $path, ['field' => $field, 'known' => self::FIELDS]);
    }
}
