<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Psr\Clock\ClockInterface;

/**
 * The server's clock. `UPPER_PANE_CLOCK` moves it for the demo: a whole number of ms to add, or `frozen:` and an
 * instant in ms at which it stands still. Empty: real time.
 */
final readonly class ShiftedClock implements ClockInterface
{
    private int $shiftMs;
    private ?int $frozenMs;

    public function __construct(string $setting = '')
    {
        $this->frozenMs = str_starts_with($setting, 'frozen:') ? (int) substr($setting, 7) : null;
        $this->shiftMs = $this->frozenMs === null ? (int) $setting : 0;
    }

    public function now(): \DateTimeImmutable
    {
        $ms = $this->nowMs();

        return new \DateTimeImmutable(sprintf('@%d.%03d', intdiv($ms, 1000), $ms % 1000));
    }

    /** ms since 1970-01-01T00:00Z */
    public function nowMs(): int
    {
        return $this->frozenMs ?? (int) floor(microtime(true) * 1000) + $this->shiftMs;
    }

    public function isFrozen(): bool
    {
        return $this->frozenMs !== null;
    }
}
