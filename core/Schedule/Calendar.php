<?php

declare(strict_types=1);

namespace UpperPane\Core\Schedule;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** A named list of civil days, such as a site's holidays: entries are on only on them, or not on them (model §8). */
final readonly class Calendar
{
    private const MOST_DAYS = 5000;
    private const LONGEST_NAME = 80;

    /** @param array<int, true> $days since 1 January 1970 */
    private function __construct(public string $id, public string $name, private array $days)
    {
    }

    /**
     * @param Input $input with `id`, `name`, and `days` as `2026-12-24`
     *
     * @throws Refusal `time.civil`
     */
    public static function parse(Input $input): self
    {
        $input->keys(['id', 'name', 'days']);
        $days = [];
        foreach ($input->list('days', self::MOST_DAYS) as $day) {
            $civil = preg_match('/^\d{4}-\d\d-\d\d$/D', $day->asText(10)) === 1
                ? EnglishNames::readDate($day->asText(10))
                : null;
            $days[intdiv($civil ?? throw self::noDay($day), 86_400)] = true;
        }
        ksort($days);

        return new self($input->id('id'), $input->name('name', self::LONGEST_NAME, 1), $days);
    }

    public function has(int $day): bool
    {
        return isset($this->days[$day]);
    }

    /** @return array{id: string, name: string, days: list<string>} */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'days' => array_map(static fn (int $day) => gmdate('Y-m-d', 86_400 * $day), array_keys($this->days)),
        ];
    }

    private static function noDay(Input $day): Refusal
    {
        return Refusal::because('time.civil', $day->path, ['value' => $day->asText(10)]);
    }
}
