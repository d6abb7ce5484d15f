<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * What a player says it shows at an instant of the server's clock: the programme, its plan and release, the scene, and
 * the entry of each zone. Values that cannot be are refused, so that a proof on record can be believed.
 */
final readonly class Proof
{
    private const MOST_ZONES = 500;
    private const MOST_OUTPUTS = 64;
    private const KEYS = [
        'release',
        'at_ms',
        'offset_ms',
        'stepped',
        'zones',
        'scene',
        'programme',
        'plan',
        'outputs',
        'act',
        'unconfirmed',
        'almanac_over',
    ];

    /**
     * @param ?int                   $release   id; null while the idle card shows
     * @param array<string, ?string> $zones     zone id → entry id; null where the zone shows one thing
     * @param ?string                $programme SHA-256; null from pages of the version before
     * @param ?string                $plan      SHA-256; null from pages of the version before
     * @param list<OutputReport>     $outputs   of the player's pages, one for each; none where one page shows all
     * @param ?string                $act       id of the act that took the surface; null where none did
     * @param bool                   $isUnsure  it has not heard the server since it was switched on
     * @param bool                   $isUndated its almanac has run out
     */
    private function __construct(
        public ?int $release,
        public int $atMs,
        public int $offsetMs,
        public bool $stepped,
        public array $zones,
        public ?string $scene,
        public ?string $programme,
        public ?string $plan,
        public array $outputs,
        public ?string $act,
        public bool $isUnsure,
        public bool $isUndated,
    ) {
    }

    /** @throws Refusal with the place in the report */
    public static function parse(Input $input): self
    {
        $input->keys(self::KEYS);
        $zones = [];
        $members = $input->child('zones')->members();
        if (count($members) > self::MOST_ZONES) {
            throw Refusal::because('input.count', $input->pathTo('zones'), [
                'count' => count($members),
                'least' => 0,
                'most' => self::MOST_ZONES,
            ]);
        }
        foreach ($members as $zone => $entry) {
            if (preg_match('/^[A-Za-z0-9_.-]{1,64}$/D', (string) $zone) !== 1) {
                $said = mb_substr((string) $zone, 0, 64);

                throw Refusal::because('input.id', $input->pathTo('zones'), ['value' => $said]);
            }
            $zones[$zone] = $entry->raw() === null ? null : $entry->asText(64, 1);
        }

        return new self(
            $input->child('release')->isNull() ? null : $input->int('release', 0, \PHP_INT_MAX),
            $input->int('at_ms', 0, \PHP_INT_MAX),
            $input->int('offset_ms', \PHP_INT_MIN, \PHP_INT_MAX),
            $input->bool('stepped'),
            $zones,
            $input->optional('scene')?->asId(),
            self::hash($input->optional('programme')),
            self::hash($input->optional('plan')),
            $input->has('outputs')
                ? array_map(OutputReport::read(...), $input->list('outputs', self::MOST_OUTPUTS))
                : [],
            $input->has('act') ? $input->uuid('act') : null,
            $input->has('unconfirmed') && $input->bool('unconfirmed'),
            $input->has('almanac_over') && $input->bool('almanac_over'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'release' => $this->release,
            'at_ms' => $this->atMs,
            'offset_ms' => $this->offsetMs,
            'stepped' => $this->stepped,
            'scene' => $this->scene,
            'zones' => $this->zones,
            'programme' => $this->programme,
            'plan' => $this->plan,
        ] + array_filter([
            'outputs' => array_map(static fn (OutputReport $output) => $output->toArray(), $this->outputs),
            'act' => $this->act,
            'unconfirmed' => $this->isUnsure,
            'almanac_over' => $this->isUndated,
        ]);
    }

    private static function hash(?Input $said): ?string
    {
        return $said === null || $said->isNull() ? null : self::sha256($said);
    }

    /** @throws Refusal */
    public static function sha256(Input $said): string
    {
        return preg_match('/^[0-9a-f]{64}$/D', $said->asText(64)) === 1
            ? $said->asText(64)
            : throw Refusal::because('input.id', $said->path, ['value' => $said->asText(64)]);
    }
}
