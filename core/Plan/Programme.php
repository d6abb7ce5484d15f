<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Time\Timeline;

/**
 * What a surface plays (model §8, §11), the same for all its players: sorted UTC intervals, each naming a plan by its
 * hash and where its files lie, since when its showing counts, and the reasons. Where none holds, the idle card does.
 * Immutable and numbered; players' orders name it.
 */
final readonly class Programme
{
    /** Version 1 knew no idle card. */
    public const VERSION = 2;

    /** @var Timeline<?Interval> */
    private Timeline $timeline;

    /** @param list<Interval> $intervals sorted; none overlaps another */
    private function __construct(
        public string $surface,
        public int $number,
        public array $intervals,
        public ?PlanRef $idle,
    ) {
        $this->timeline = Timeline::ofStretches(array_map(static fn (Interval $interval) => [
            'from_ms' => $interval->fromMs,
            'until_ms' => $interval->untilMs,
            'value' => $interval,
        ], $intervals));
    }

    /**
     * One release from an instant on, until another programme comes: its round, counted from that instant. Where the
     * same plan holds already, its showing goes on (model §6: a hand-off of something else restarts nothing). What
     * waits for an instant before it keeps its time (§8: it changes the intervals from there on).
     *
     * @param ?self $before the programme of the surface that this one follows
     * @param int   $nowMs  what began by then is no part of it
     */
    public static function ofRelease(
        string $surface,
        int $number,
        PlanRef $plan,
        PlanRef $idle,
        int $fromMs,
        ?self $before,
        int $nowMs,
    ): self {
        $held = $before?->at($fromMs);
        $goesOn = $held !== null && $held->plan->sha256 === $plan->sha256;

        return new self(
            $surface,
            $number,
            [
                ...self::waiting($before->intervals ?? [], $nowMs, $fromMs),
                new Interval($fromMs, null, $goesOn ? $held->startMs : $fromMs, $plan, [
                    [
                        'code' => 'programme.handed_off',
                        'params' => ['name' => $plan->name, 'number' => $plan->number],
                    ],
                ]),
            ],
            $idle,
        );
    }

    /**
     * @param list<Interval> $intervals
     *
     * @return list<Interval> those that begin after an instant, up to another
     */
    private static function waiting(array $intervals, int $nowMs, int $untilMs): array
    {
        return array_map(static fn (Interval $one) => $one->until($untilMs), array_values(array_filter(
            $intervals,
            static fn (Interval $one) => $one->fromMs > $nowMs && $one->fromMs < $untilMs,
        )));
    }

    /** @param array<string, mixed> $stored as {@see self::toArray()} wrote it, in this version or the one before */
    public static function read(array $stored): self
    {
        $input = Input::of($stored);

        return new self(
            $input->text('surface', 60),
            $input->int('number', 0, \PHP_INT_MAX),
            array_map(Interval::read(...), $input->list('intervals')),
            $input->optional('idle') === null ? null : PlanRef::read($input->child('idle')),
        );
    }

    /** What holds at an instant; null where nothing does. */
    public function at(int $atMs): ?Interval
    {
        return $this->timeline->at($atMs);
    }

    /** When it holds another interval, or none, than at an instant; null when never again. */
    public function changeAfter(int $atMs): ?int
    {
        return $this->timeline->next($atMs);
    }

    /** @return list<int> when the showings of a plan began, in ms, each once */
    public function startsOf(string $plan): array
    {
        $showing = array_filter(
            $this->intervals,
            static fn (Interval $interval) => $interval->plan->sha256 === $plan,
        );

        return array_values(array_unique(array_map(static fn (Interval $one) => $one->startMs, $showing)));
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
            'intervals' => array_map(static fn (Interval $interval) => $interval->toArray(), $this->intervals),
            'idle' => $this->idle?->toArray(),
        ];
    }
}
