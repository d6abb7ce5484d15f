<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Site;

use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Schedule\ReadWhen;
use UpperPane\Core\Schedule\SaidWhen;
use UpperPane\Core\Schedule\Upcoming;
use UpperPane\Core\Schedule\ZoneTime;

/** Days and hours from a sentence, and how they are understood: as said in full, and the next times. */
final readonly class ReadHours
{
    public function __construct(private Gate $gate, private ShiftedClock $clock)
    {
    }

    /**
     * @return array{when: array<string, mixed>, words: ?string, next: list<array{string, string}>}
     *
     * @throws \UpperPane\Core\Base\Refusal `when.words`, `when.times`, `when.never`
     */
    public function __invoke(string $slug, string $words, Person $person): array
    {
        $zone = new ZoneTime(new \DateTimeZone($this->gate->site($slug, $person)->timeZone));
        $now = intdiv($this->clock->nowMs(), 1000);
        $civil = $zone->civil($now);
        $when = ReadWhen::of(Input::of($words, '/words'), $civil - $civil % 86_400, $zone);

        return [
            'when' => $when->toArray(),
            'words' => SaidWhen::of($when, $zone),
            'next' => Upcoming::of($when->windows(), $now, $zone),
        ];
    }
}
