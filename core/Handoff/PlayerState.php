<?php

declare(strict_types=1);

namespace UpperPane\Core\Handoff;

/** How far the latest work on a player's surface has come. */
enum PlayerState: string
{
    /** No release was handed off. */
    case Empty = 'empty';
    /** Handed off, no proof of it yet. */
    case Waiting = 'waiting';
    case Proven = 'proven';
    /** A proof says otherwise. */
    case Different = 'different';
    /** Proven once, nothing heard of late. */
    case Silent = 'silent';

    public const SILENT_AFTER_MS = 30_000;

    /**
     * @param ?int $ordered the release in force
     * @param ?int $shown   the release of the last proof
     * @param ?int $ageMs   how old that proof is
     */
    public static function of(?int $ordered, ?int $shown, bool $proven, ?int $ageMs): self
    {
        return match (true) {
            $ordered === null => self::Empty,
            $shown !== $ordered => self::Waiting,
            !$proven => self::Different,
            $ageMs === null || $ageMs > self::SILENT_AFTER_MS => self::Silent,
            default => self::Proven,
        };
    }
}
