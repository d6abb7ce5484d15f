<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Schedule\SaidWhen;
use UpperPane\Core\Schedule\When;
use UpperPane\Core\Schedule\ZoneTime;

/** Civil times and a recurrence rule → a sentence, where one says it. */
final class WhenSayCommand implements Command
{
    public function name(): string
    {
        return 'when-say';
    }

    public function about(): string
    {
        return 'When something is on, in a sentence that when-read reads again; null where no sentence says its rule.';
    }

    public function schema(): array
    {
        $entry = (new ScheduleCommand())->schema()['properties'];
        $of = $entry['entries']['items']['properties'];

        return Schema::object(
            ['zone' => $entry['zone']] + array_intersect_key($of, array_flip(['start', 'end', 'days', 'rrule'])),
            ['zone', 'start', 'end'],
        );
    }

    public function run(Input $input): array
    {
        $input->keys(['zone', 'start', 'end', 'days', 'rrule']);

        return ['words' => SaidWhen::of(When::parse($input), ZoneTime::named($input->child('zone')))];
    }
}
