<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Time\Cycles;

/** Cycles of zones → when they meet again, and which entries the scene's end cuts. */
final class PeriodCommand implements Command
{
    public function name(): string
    {
        return 'period';
    }

    public function about(): string
    {
        return 'Cycles of zones, the length of a scene: when they meet, which entries are cut.';
    }

    public function schema(): array
    {
        $ms = Schema::whole(1, Cycles::HORIZON_MS);

        return Schema::object(
            [
                'zones' => [
                    'type' => 'object',
                    'maxProperties' => 1000,
                    'additionalProperties' => ['type' => 'array', 'items' => $ms, 'minItems' => 1, 'maxItems' => 10000],
                ],
                'scene_ms' => $ms,
            ],
            ['zones'],
        );
    }

    public function run(Input $input): array
    {
        $input->keys(['zones', 'scene_ms']);
        $zones = [];
        foreach ($input->child('zones')->members() as $zone => $durations) {
            $zones[$zone] = array_map(
                static fn (Input $ms) => $ms->asInt(1, Cycles::HORIZON_MS),
                $durations->asList(10000, 1),
            );
        }
        $period = Cycles::periodMs(array_values(array_map(array_sum(...), $zones)));

        return [
            'period_ms' => $zones === [] ? 0 : $period,
            'over_ms' => $period === null ? Cycles::HORIZON_MS : null,
            'cut' => $input->has('scene_ms')
                ? Cycles::cutAt($zones, $input->int('scene_ms', 1, Cycles::HORIZON_MS))
                : [],
        ];
    }
}
