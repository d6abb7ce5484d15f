<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

use UpperPane\Core\Plan\Programme;

/** What was on air on a player, from what was heard of it and the programmes that it told of (model §11). */
final class OnAir
{
    /**
     * @param list<Stretch>               $stretches as they were told: rising, but where a clock was set back
     * @param \Closure(string): ?Programme $programmes by SHA-256
     * @param int                         $nowMs     until when the last stretch is believed, as far as it is not silent
     *
     * @return list<array{from_ms: int, until_ms: int, heard: string, name: ?string, number: ?int}> the name and number
     *     of what showed; null where nobody knows, and the number 0 for standby
     */
    public static function of(array $stretches, \Closure $programmes, int $fromMs, int $nowMs): array
    {
        $lines = [];
        // What was told before a clock was set back, of later than now, is not so yet.
        $stretches = array_values(array_filter(
            $stretches,
            static fn (Stretch $stretch) => $stretch->fromMs <= $nowMs,
        ));
        foreach ($stretches as $index => $stretch) {
            $isLast = $index === count($stretches) - 1;
            $until = $isLast && $nowMs - $stretch->untilMs <= PlayerState::SILENT_AFTER_MS
                ? max($nowMs, $stretch->untilMs)
                : min($stretch->untilMs, max($stretch->fromMs, $stretches[$index + 1]->fromMs ?? \PHP_INT_MAX));
            $lines = [...$lines, ...self::within($stretch, max($fromMs, $stretch->fromMs), $until, $programmes)];
            if ($isLast && $until < $nowMs) {
                $lines = [...$lines, ...self::within(
                    new Stretch($until, $nowMs, Heard::Silent, null),
                    max($fromMs, $until),
                    $nowMs,
                    $programmes,
                )];
            }
        }

        return $lines;
    }

    /**
     * @param \Closure(string): ?Programme $programmes
     *
     * @return list<array{from_ms: int, until_ms: int, heard: string, name: ?string, number: ?int}>
     */
    private static function within(Stretch $stretch, int $fromMs, int $untilMs, \Closure $programmes): array
    {
        $programme = $stretch->heard === Heard::Confirmed && $stretch->programme !== null
            ? $programmes($stretch->programme)
            : null;
        $lines = [];
        while ($fromMs < $untilMs) {
            $until = min($untilMs, $programme?->changeAfter($fromMs) ?? $untilMs);
            $held = $stretch->act === null ? $programme?->at($fromMs) : null;
            $plan = $held->plan ?? $programme?->idle;
            $lines[] = [
                'from_ms' => $fromMs,
                'until_ms' => $until,
                'heard' => $stretch->heard->value,
                'name' => $plan?->name,
                'number' => $plan?->number,
            ];
            $fromMs = $until;
        }

        return $lines;
    }
}
