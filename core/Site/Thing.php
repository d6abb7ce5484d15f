<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

/**
 * What somebody may be allowed something on, by its own name and the names of all that it lies in: a document, the
 * surface it is made for, that surface's groups, the site.
 */
final readonly class Thing
{
    public const SITE = 'site';
    private const NAMED = '/^(?:site|group:g-[a-z0-9]{8,36}|surface:[a-z0-9-]{1,60}|document:[0-9a-f-]{36})$/D';

    /** @param non-empty-list<string> $names */
    private function __construct(public array $names)
    {
    }

    public static function site(): self
    {
        return new self([self::SITE]);
    }

    /** @param list<string> $groups ids */
    public static function surface(string $code, array $groups): self
    {
        return new self([
            "surface:$code",
            ...array_map(static fn (string $group) => "group:$group", $groups),
            self::SITE,
        ]);
    }

    public static function group(string $id): self
    {
        return new self(["group:$id", self::SITE]);
    }

    /** A document in it. */
    public function document(string $id): self
    {
        return new self(["document:$id", ...$this->names]);
    }

    public static function isNamed(string $name): bool
    {
        return preg_match(self::NAMED, $name) === 1;
    }
}
