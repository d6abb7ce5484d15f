<?php

declare(strict_types=1);

namespace UpperPane\Core\Time;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * How a stretch of time is written: days `D`, hours `H`, minutes `m`, seconds `s`, twice for two digits, and literal
 * text, in single quotes where it is of letters. The largest of them carries what is more: `mm:ss` of two hours is
 * `120:00`.
 */
final readonly class CountPattern
{
    public const FIELDS = ['D', 'H', 'HH', 'm', 'mm', 's', 'ss'];
    private const SECONDS = ['D' => 86_400, 'H' => 3600, 'm' => 60, 's' => 1];

    /** @param list<array{unit_s: int, of: ?int, digits: int}|array{text: string}> $tokens `of`: it starts anew there */
    private function __construct(public string $pattern, public array $tokens)
    {
    }

    /** @throws Refusal `count.field`, `count.empty` */
    public static function parse(Input $input): self
    {
        $pattern = $input->asText(60);
        preg_match_all("/''|'(?<quoted>(?:[^']|'')*)'|(?<field>([A-Za-z])\\3*)|[^A-Za-z']+|'/u", $pattern, $found, \PREG_SET_ORDER);
        $units = [];
        foreach ($found as $match) {
            $field = $match['field'] ?? '';
            if ($field !== '' && !in_array($field, self::FIELDS, true)) {
                throw Refusal::because('count.field', $input->path, ['field' => $field, 'known' => self::FIELDS]);
            }
            $units = $field === '' ? $units : [...$units, self::SECONDS[$field[0]]];
        }
        if ($units === []) {
            throw Refusal::because('count.empty', $input->path);
        }
        $tokens = array_map(
            static fn (array $match) => match (true) {
                ($match['field'] ?? '') !== '' => self::token($match['field'], $units),
                $match[0] === "''" => ['text' => "'"],
                default => ['text' => str_replace("''", "'", $match['quoted'] ?? $match[0])],
            },
            $found,
        );

        return new self($pattern, $tokens);
    }

    /** So many seconds, written. */
    public function text(int $seconds): string
    {
        return implode('', array_map(
            static fn (array $token) => $token['text'] ??
                str_pad(
                    (string) (intdiv($seconds, $token['unit_s']) % ($token['of'] ?? \PHP_INT_MAX)),
                    $token['digits'],
                    '0',
                    \STR_PAD_LEFT,
                ),
            $this->tokens,
        ));
    }

    /**
     * Texts among which the widest is that it can write up to so many seconds: each digit in all places.
     *
     * @return list<string>
     */
    public function candidates(int $mostSeconds): array
    {
        return array_map(fn (int $digit) => $this->filledWith((string) $digit, $mostSeconds), range(0, 9));
    }

    private function filledWith(string $digit, int $mostSeconds): string
    {
        $text = '';
        foreach ($this->tokens as $token) {
            $text .= $token['text'] ?? str_repeat(
                $digit,
                $token['of'] === null
                    ? max($token['digits'], strlen((string) intdiv($mostSeconds, $token['unit_s'])))
                    : 2,
            );
        }

        return $text;
    }

    /**
     * @param list<int> $units of all fields, in seconds
     *
     * @return array{unit_s: int, of: ?int, digits: int}
     */
    private static function token(string $field, array $units): array
    {
        $unit = self::SECONDS[$field[0]];
        $larger = array_filter($units, static fn (int $other) => $other > $unit);

        return [
            'unit_s' => $unit,
            'of' => $larger === [] ? null : intdiv(min($larger), $unit),
            'digits' => strlen($field),
        ];
    }
}
