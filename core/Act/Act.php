<?php

declare(strict_types=1);

namespace UpperPane\Core\Act;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * What somebody did that players show at once (model §8, Acts end): from an instant, and always with an end. *Until
 * cleared* is 12 h, renewed while it stands, so that a player out of reach comes home by itself. All instants in ms
 * since 1970.
 */
final readonly class Act
{
    private const MOST_TARGETS = 200;
    private const STANDS_MS = 12 * 3_600_000;
    /** Renewed when so much is left: players out of reach for less never notice. */
    private const RENEWED_MS = 11 * 3_600_000;

    /** @param non-empty-list<Target> $targets */
    public function __construct(
        public string $id,
        public ActKind $kind,
        public array $targets,
        public int $fromMs,
        public int $untilMs,
        public bool $untilCleared,
        public ?int $clearedMs = null,
    ) {
    }

    /**
     * @param Input $input with `act`, an id made up by who asks, `kind` and `targets`
     *
     * @throws Refusal `act.target`, `input.…`
     */
    public static function make(Input $input, int $nowMs): self
    {
        $input->keys(['act', 'kind', 'targets']);
        $kind = ActKind::from($input->enum('kind', ActKind::class)->value);
        /** @var non-empty-list<Target> $targets */
        $targets = array_map(Target::read(...), $input->list('targets', self::MOST_TARGETS, 1));
        $lasts = $kind->lastsMs();

        return new self(
            $input->uuid('act'),
            $kind,
            $targets,
            $nowMs,
            $nowMs + ($lasts ?? self::STANDS_MS),
            $lasts === null,
        );
    }

    /** The end is not in it. */
    public function isInForce(int $atMs): bool
    {
        return $this->fromMs <= $atMs && $atMs < $this->endMs();
    }

    public function endMs(): int
    {
        return min($this->untilMs, $this->clearedMs ?? $this->untilMs);
    }

    /** When somebody has to see to it: at its end, or when it is to be renewed. */
    public function changesMs(): int
    {
        return $this->untilCleared && $this->clearedMs === null
            ? $this->untilMs - self::RENEWED_MS
            : $this->endMs();
    }

    public function cleared(int $atMs): self
    {
        return new self(
            $this->id,
            $this->kind,
            $this->targets,
            $this->fromMs,
            $this->untilMs,
            $this->untilCleared,
            $this->clearedMs ?? $atMs,
        );
    }

    /** @return ?self with a later end; null when it needs none */
    public function renewed(int $nowMs): ?self
    {
        return $this->untilCleared && $this->isInForce($nowMs) && $this->untilMs - $nowMs <= self::RENEWED_MS
            ? new self($this->id, $this->kind, $this->targets, $this->fromMs, $nowMs + self::STANDS_MS, true)
            : null;
    }

    /** @param list<string> $names {@see Target::namesOf} */
    public function aimsAt(array $names): bool
    {
        return array_intersect(array_column($this->targets, 'name'), $names) !== [];
    }
}
