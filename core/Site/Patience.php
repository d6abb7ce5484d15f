<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

/**
 * How long someone who got passwords wrong waits (common practice): some tries are free, then each one doubles the
 * wait, up to five minutes; after a quarter of an hour without one they are forgotten.
 */
final readonly class Patience
{
    public const WINDOW_MS = 900_000;
    private const FIRST_WAIT_MS = 10_000;
    private const LONGEST_WAIT_MS = 300_000;

    /** @param int $freeTries so many cost nothing */
    private function __construct(private int $freeTries)
    {
    }

    /** With one person, from one browser. */
    public static function withPerson(): self
    {
        return new self(5);
    }

    /** With everybody behind one address of the network. */
    public static function withAddress(): self
    {
        return new self(50);
    }

    /**
     * @param int $wrong  tries within the window before now
     * @param int $lastMs when the last of them was
     *
     * @return int ms that are left to wait
     */
    public function waitMs(int $wrong, int $lastMs, int $nowMs): int
    {
        if ($wrong < $this->freeTries) {
            return 0;
        }
        $doublings = min($wrong - $this->freeTries, 10);

        return max(0, $lastMs + min(self::LONGEST_WAIT_MS, self::FIRST_WAIT_MS * 2 ** $doublings) - $nowMs);
    }
}
