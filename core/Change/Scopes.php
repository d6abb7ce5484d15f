<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

/** A set of scopes. */
final readonly class Scopes
{
    /** @param array<string, true> $texts */
    private function __construct(private array $texts)
    {
    }

    public static function of(Scope ...$scopes): self
    {
        $texts = [];
        foreach ($scopes as $scope) {
            $texts[$scope->toText()] = true;
        }

        return new self($texts);
    }

    /** @param list<string> $texts from {@see toArray()} */
    public static function stored(array $texts): self
    {
        return new self(array_fill_keys($texts, true));
    }

    public function and(self ...$others): self
    {
        $theirs = array_map(static fn (self $other) => $other->texts, $others);

        return new self($this->texts + array_merge([], ...$theirs));
    }

    /** Whether any scope of one lies at, above or below one of the other. */
    public function meets(self $other): bool
    {
        return $this->shared($other)->texts !== [];
    }

    /** Those of this set that meet one of the other. */
    public function shared(self $other): self
    {
        $above = [];
        foreach ($other->texts as $text => $_) {
            foreach (self::prefixes((string) $text) as $prefix) {
                $above[$prefix] = true;
            }
        }
        $shared = [];
        foreach ($this->texts as $text => $_) {
            $below = array_filter(
                self::prefixes((string) $text),
                static fn (string $prefix) => isset($other->texts[$prefix]),
            );
            if (isset($above[$text]) || $below !== []) {
                $shared[$text] = true;
            }
        }

        return new self($shared);
    }

    /** @return list<Scope> */
    public function all(): array
    {
        return array_map(static fn (int|string $text) => Scope::stored((string) $text), array_keys($this->texts));
    }

    /** @return list<string> sorted, for storing */
    public function toArray(): array
    {
        $texts = array_map(strval(...), array_keys($this->texts));
        sort($texts, \SORT_STRING);

        return $texts;
    }

    /** @return list<string> the path itself and all it lies below */
    private static function prefixes(string $text): array
    {
        $prefixes = [$text];
        for ($end = strrpos($text, '/'); $end !== false; $end = strrpos($text, '/')) {
            $prefixes[] = $text = substr($text, 0, $end);
        }

        return $prefixes;
    }
}
