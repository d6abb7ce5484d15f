<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

/** Says now and then that long work goes on, to whoever asked for it. */
final class Pulse
{
    private ?\Closure $beat = null;
    private float $lastMs = 0;

    public function __construct(private readonly int $everyMs = 5000)
    {
    }

    /**
     * @template T
     *
     * @param \Closure(): void $beat is called every few seconds while the work goes on; what it throws ends the work
     * @param \Closure(): T    $work
     *
     * @return T
     */
    public function during(\Closure $beat, \Closure $work): mixed
    {
        $this->beat = $beat;
        $this->lastMs = self::nowMs();
        try {
            return $work();
        } finally {
            $this->beat = null;
        }
    }

    public function goesOn(): void
    {
        if ($this->beat !== null && self::nowMs() - $this->lastMs >= $this->everyMs) {
            $this->lastMs = self::nowMs();
            ($this->beat)();
        }
    }

    private static function nowMs(): float
    {
        return hrtime(true) / 1e6;
    }
}
