<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * Six signs that a player shows and a technician types, so that the screen someone stands before is the one that is
 * paired. About 10⁹ codes, each alive for ten minutes.
 */
final readonly class PairingCode
{
    public const LIFETIME_MS = 600_000;
    public const LENGTH = 6;

    /** No 0, 1, I and O, which are read for each other. 32 signs: a byte picks each of them equally often. */
    private const SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';

    private function __construct(public string $signs)
    {
    }

    /** @param string $bytes as many random bytes as a code has signs */
    public static function ofBytes(string $bytes): self
    {
        return new self(implode('', array_map(
            static fn (string $byte) => self::SIGNS[\ord($byte) % \strlen(self::SIGNS)],
            str_split(substr($bytes, 0, self::LENGTH)),
        )));
    }

    /**
     * As people type it: small letters, spaces and hyphens are well meant.
     *
     * @throws Refusal `pairing.form`
     */
    public static function parse(Input $input): self
    {
        $typed = $input->asText(40);
        $signs = strtoupper((string) preg_replace('/[\s-]+/', '', $typed));
        if (\strlen($signs) !== self::LENGTH || strspn($signs, self::SIGNS) !== self::LENGTH) {
            throw Refusal::because('pairing.form', $input->path, ['typed' => $typed]);
        }

        return new self($signs);
    }
}
