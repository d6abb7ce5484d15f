<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Time\Cycles;
use UpperPane\Core\Time\Sync;
use UpperPane\Core\Time\Unequal;

/** A leader's durations, and its followers' → their joint cycle, step by step. */
final class SyncCommand implements Command
{
    private const MOST_ENTRIES = 10_000;
    private const MOST_FOLLOWERS = 1000;

    public function name(): string
    {
        return 'sync';
    }

    public function about(): string
    {
        return 'Durations of a leader and of what follows it: the joint cycle, step by step, and what is never shown.';
    }

    public function schema(): array
    {
        $durations = static fn (int $least): array => [
            'type' => 'array',
            'items' => Schema::whole(1, Cycles::HORIZON_MS),
            'minItems' => $least,
            'maxItems' => self::MOST_ENTRIES,
        ];

        return Schema::object([
            'leader' => $durations(1),
            'followers' => [
                'type' => 'object',
                'maxProperties' => self::MOST_FOLLOWERS,
                'additionalProperties' => $durations(0),
            ],
            'unequal' => ['enum' => array_column(Unequal::cases(), 'value')],
        ], ['leader', 'followers', 'unequal']);
    }

    public function run(Input $input): array
    {
        $input->keys(['leader', 'followers', 'unequal']);
        $followers = [];
        foreach ($input->child('followers')->members() as $name => $durations) {
            $followers[$name] = count(self::durations($durations, 0));
        }
        $sync = Sync::of(
            self::durations($input->child('leader'), 1),
            $followers,
            $input->enum('unequal', Unequal::class),
        );

        return [
            'cycle_ms' => $sync->cycleMs(),
            'steps' => array_map(
                static fn (array $step) => array_replace($step, ['followers' => (object) $step['followers']]),
                $sync->steps(),
            ),
            'findings' => array_map(static fn (array $never) => Finding::of(
                'sync.never_shown',
                Severity::Caution,
                "/followers/{$never['follower']}/{$never['entry']}",
                ['zone' => $never['follower'], 'entry' => $never['entry'] + 1],
            )->toArray(), $sync->neverShown()),
        ];
    }

    /** @return list<int> */
    private static function durations(Input $input, int $least): array
    {
        return array_map(
            static fn (Input $ms) => $ms->asInt(1, Cycles::HORIZON_MS),
            $input->asList(self::MOST_ENTRIES, $least),
        );
    }
}
