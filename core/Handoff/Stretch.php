<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

/**
 * What was heard of a player from one instant to another (model §11): a proof as before makes the stretch longer, so
 * that a month of proofs is a few rows. ms since 1970, by the server's clock.
 */
final readonly class Stretch
{
    /**
     * @param ?string $programme that it told of, by its SHA-256; null of a silent one
     * @param ?string $act       that took the surface, by its id
     */
    public function __construct(
        public int $fromMs,
        public int $untilMs,
        public Heard $heard,
        public ?string $programme,
        public ?string $act = null,
    ) {
    }

    /**
     * A proof that came now, behind the stretch before.
     *
     * @return non-empty-list<self> what stands instead of the stretch before, and what comes after it
     */
    public static function after(?self $last, bool $proven, Proof $proof, int $nowMs): array
    {
        $fresh = new self($nowMs, $nowMs, $proven ? Heard::Confirmed : Heard::Denied, $proof->programme, $proof->act);
        if ($last === null) {
            return [$fresh];
        }
        if ($nowMs < $last->fromMs) {
            // The server's clock was set back.
            return [$last, $fresh];
        }
        if ($nowMs - $last->untilMs > PlayerState::SILENT_AFTER_MS) {
            return [$last, new self($last->untilMs, $nowMs, Heard::Silent, null), $fresh];
        }
        $longer = new self($last->fromMs, max($last->untilMs, $nowMs), $last->heard, $last->programme, $last->act);

        // What changes is told at once: until then it was as before.
        return [$fresh->heard, $fresh->programme, $fresh->act] === [$last->heard, $last->programme, $last->act]
            ? [$longer]
            : [$longer, $fresh];
    }
}
