<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

/** How far the programme of a surface has come on one of its players. */
enum PlayerState: string
{
    /** Nothing was handed off. */
    case Empty = 'empty';
    /** Handed off, no proof of it yet. */
    case Waiting = 'waiting';
    case Proven = 'proven';
    /** A proof says otherwise. */
    case Different = 'different';
    /** Proven once, nothing heard of late. */
    case Silent = 'silent';

    /** They tell every 60 s, and at once what changed. */
    public const SILENT_AFTER_MS = 150_000;

    /**
     * @param ?string $ordered the programme in force, by its SHA-256
     * @param ?string $shown   the programme of the last proof
     * @param ?int    $ageMs   how old that proof is
     */
    public static function of(?string $ordered, ?string $shown, bool $proven, ?int $ageMs): self
    {
        return match (true) {
            $ordered === null => self::Empty,
            $shown !== $ordered => self::Waiting,
            !$proven => self::Different,
            $ageMs === null || $ageMs > self::SILENT_AFTER_MS => self::Silent,
            default => self::Proven,
        };
    }

    /**
     * Of a surface: what needs looking at most among its players.
     *
     * @param list<self> $players
     */
    public static function worst(array $players): self
    {
        foreach ([self::Different, self::Silent, self::Waiting, self::Proven] as $state) {
            if (in_array($state, $players, true)) {
                return $state;
            }
        }

        return self::Empty;
    }
}
