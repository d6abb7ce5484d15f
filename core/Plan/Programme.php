<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\CanonicalJson;

/**
 * What a surface plays (model §8, §11): sorted UTC intervals, each naming a plan by its hash and where its files lie,
 * the scene or the round that is shown, since when it counts, and the reasons. Immutable and numbered; a player's
 * orders name it.
 */
final readonly class Programme
{
    public const VERSION = 1;

    /** @param list<array<string, mixed>> $intervals */
    private function __construct(public string $surface, public int $number, public array $intervals)
    {
    }

    /**
     * One release from an instant on, until another programme comes: its round, counted from that instant.
     *
     * @param array{release: int, number: int, name: string, sha256: string, base: string} $release its id, its number
     *     in the design, the design's name, the plan's hash, where its files lie
     */
    public static function ofRelease(string $surface, int $number, array $release, int $startMs): self
    {
        return new self($surface, $number, [
            [
                'from_ms' => $startMs,
                'until_ms' => null,
                'plan' => $release,
                'shows' => 'round',
                'start_ms' => $startMs,
                'why' => [
                    [
                        'code' => 'programme.handed_off',
                        'params' => ['name' => $release['name'], 'number' => $release['number']],
                    ],
                ],
            ],
        ]);
    }

    public function sha256(): string
    {
        return CanonicalJson::sha256($this->toArray());
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'programme' => self::VERSION,
            'surface' => $this->surface,
            'number' => $this->number,
            'intervals' => $this->intervals,
        ];
    }
}
