<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Time\Cycles;
use UpperPane\Core\Time\Sequence;
use UpperPane\Core\Time\Sync;
use UpperPane\Core\Time\Unequal;

/** How a zone goes in step with the one that leads it (model §6, Sync). */
final readonly class InStep
{
    /**
     * @param list<int> $steps   how long each step of the leader lasts, in ms
     * @param list<int> $places  which of its entries each of them is
     * @param ?int      $sceneMs after which all begin anew; null: not before the leader does
     */
    private function __construct(
        public string $leader,
        public Unequal $unequal,
        public array $steps,
        private array $places,
        public ?int $sceneMs = null,
    ) {
    }

    /**
     * @param list<string> $there zones of the scene
     *
     * @return ?self null: it follows none, or none that is there and has steps
     */
    public static function of(Design $design, string $zone, array $there, ContentTime $time): ?self
    {
        $follow = $design->zone($zone)->follow();
        $leader = self::leader($design, $zone);
        if ($follow === null || $leader === null || !in_array($leader, $there, true)) {
            return null;
        }
        $fill = $design->zone($leader)->fill();
        $turns = $fill instanceof PlaylistFill ? $time->turns($fill) : [];

        return $turns === []
            ? null
            : new self($leader, $follow->unequal, array_column($turns, 'ms'), array_column($turns, 'place'));
    }

    /** Whoever follows one that follows is in step with the one that leads both; null: nobody leads, or in a circle. */
    public static function leader(Design $design, string $zone): ?string
    {
        $seen = [$zone => true];
        $leader = ($design->zones[$zone] ?? null)?->follow()?->leader;
        while ($leader !== null && isset($design->zones[$leader])) {
            if (isset($seen[$leader])) {
                return null;
            }
            $seen[$leader] = true;
            $next = $design->zones[$leader]->follow()?->leader;
            if ($next === null) {
                return $leader;
            }
            $leader = $next;
        }

        return null;
    }

    public function until(?int $sceneMs): self
    {
        return new self($this->leader, $this->unequal, $this->steps, $this->places, $sceneMs);
    }

    /** Until it begins anew together with its leader, in ms; at most seven days, beyond which nobody plans. */
    public function cycleMs(int $entries): int
    {
        $loops = $this->unequal === Unequal::Wrap
            ? intdiv(Cycles::lcm(count($this->steps), max(1, $entries)), count($this->steps))
            : 1;

        return min(Cycles::HORIZON_MS, Sync::of($this->steps, [], $this->unequal)->cycleMs() * $loops);
    }

    /**
     * @param ?Sequence $own null: it shows one thing
     *
     * @return list<array{place: ?int, ms: int, leader: int}> which entries each step of one joint cycle shows
     */
    public function turns(?Sequence $own): array
    {
        $turns = [];
        foreach (Sync::of($this->steps, ['' => $own?->count() ?? 1], $this->unequal)->steps() as $step) {
            $entry = $step['followers'][''];
            $turns[] = [
                'place' => $entry === null ? null : ($own?->place($entry) ?? 0),
                'ms' => $this->steps[$step['leader']],
                'leader' => $this->places[$step['leader']],
            ];
        }

        return $turns;
    }

    /** @return array{zone: string, unequal: string} */
    public function toArray(): array
    {
        return ['zone' => $this->leader, 'unequal' => $this->unequal->value];
    }
}
