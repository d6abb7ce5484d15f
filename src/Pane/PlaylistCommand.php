<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Time\Cycles;
use UpperPane\Core\Time\Playlist;

/** Entries and durations → cycle, period, sequence, and what shows at given instants. */
final class PlaylistCommand implements Command
{
    private const MOST_ENTRIES = 10_000;

    public function name(): string
    {
        return 'playlist';
    }

    public function about(): string
    {
        return 'Entries and durations, an interleave: cycle, period, sequence, what shows at given instants.';
    }

    public function schema(): array
    {
        $entry = Schema::object(
            [
                'id' => Schema::id(),
                'ms' => Schema::whole(1, Cycles::HORIZON_MS),
                'enabled' => ['type' => 'boolean'],
            ],
            ['id', 'ms'],
        );
        $entries = ['type' => 'array', 'items' => $entry, 'maxItems' => self::MOST_ENTRIES];

        return Schema::object(
            [
                'entries' => $entries,
                'interleave' => Schema::object(
                    ['after' => Schema::whole(1, self::MOST_ENTRIES), 'entries' => $entries],
                    ['after', 'entries'],
                ),
                'at_ms' => ['type' => 'array', 'items' => Schema::whole(0, \PHP_INT_MAX), 'maxItems' => 1000],
            ],
            ['entries'],
        );
    }

    public function run(Input $input): array
    {
        $input->keys(['entries', 'interleave', 'at_ms']);
        $seen = [];
        $entries = self::entries($input, $seen);
        $second = $input->has('interleave') ? $input->child('interleave')->keys(['after', 'entries']) : null;
        $playlist = Playlist::of(
            $entries,
            $second === null ? [] : self::entries($second, $seen),
            $second === null ? 1 : $second->int('after', 1, self::MOST_ENTRIES),
        );
        $instants = $input->has('at_ms') ? $input->list('at_ms', 1000) : [];

        return [
            'cycle_ms' => $playlist->cycleMs(),
            'period_ms' => $playlist->periodMs(),
            'sequence' => $playlist->sequence(),
            'truncated' => $playlist->periodEntries() > Playlist::LONGEST_SEQUENCE,
            'at' => array_map(static fn (Input $at) => $playlist->at($at->asInt(0, \PHP_INT_MAX)), $instants),
        ];
    }

    /**
     * @param array<string, true> $seen
     *
     * @return list<array{id: string, ms: int}> the enabled ones
     */
    private static function entries(Input $input, array &$seen): array
    {
        $entries = [];
        foreach ($input->list('entries', self::MOST_ENTRIES) as $entry) {
            $entry->keys(['id', 'ms', 'enabled']);
            $id = $entry->id('id');
            if (isset($seen[$id])) {
                throw Refusal::because('playlist.entry_twice', $entry->pathTo('id'), ['id' => $id]);
            }
            $seen[$id] = true;
            $ms = $entry->int('ms', 1, Cycles::HORIZON_MS);
            if (!$entry->has('enabled') || $entry->bool('enabled')) {
                $entries[] = ['id' => $id, 'ms' => $ms];
            }
        }

        return $entries;
    }
}
