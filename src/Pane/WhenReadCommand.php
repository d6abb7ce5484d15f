<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Schedule\EnglishNames;
use UpperPane\Core\Schedule\ReadWhen;
use UpperPane\Core\Schedule\SaidWhen;
use UpperPane\Core\Schedule\ZoneTime;

/** A sentence of when → civil times and a recurrence rule. */
final class WhenReadCommand implements Command
{
    public function name(): string
    {
        return 'when-read';
    }

    public function about(): string
    {
        return 'When something is on, from a sentence such as “mon-fri 6-9”: civil times and a rule (RFC 5545).';
    }

    public function schema(): array
    {
        return Schema::object([
            'zone' => ['type' => 'string', 'maxLength' => 60, 'description' => 'A name of the tz database.'],
            'today' => [
                'type' => 'string',
                'pattern' => '^\d{4}-\d{2}-\d{2}$',
                'description' => 'Civil; the first day of what says none.',
            ],
            'words' => ['type' => 'string', 'maxLength' => 300],
        ], ['zone', 'today', 'words']);
    }

    public function run(Input $input): array
    {
        $input->keys(['zone', 'today', 'words']);
        $zone = ZoneTime::named($input->child('zone'));
        $today = EnglishNames::readDate($input->text('today', 10))
            ?? throw Refusal::because('time.civil', $input->pathTo('today'), ['value' => $input->text('today', 10)]);
        $when = ReadWhen::of($input->child('words'), $today, $zone);

        return $when->toArray() + ['words' => SaidWhen::of($when, $zone)];
    }
}
