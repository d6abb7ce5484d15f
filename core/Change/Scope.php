<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

/**
 * A place in a document as a path of names and ids, for example `zones/z-1/fill`. Documents name their places by named
 * constructors of their own; here only their nesting counts.
 */
final readonly class Scope
{
    private function __construct(private string $text)
    {
    }

    public static function of(string ...$path): self
    {
        return new self(
            implode('/', array_map(static fn (string $name) => strtr($name, ['~' => '~0', '/' => '~1']), $path)),
        );
    }

    /** From {@see toText()}. */
    public static function stored(string $text): self
    {
        return new self($text);
    }

    /** A place inside this one. */
    public function below(string ...$path): self
    {
        return new self($this->text.'/'.self::of(...$path)->text);
    }

    /** @return non-empty-list<string> */
    public function path(): array
    {
        return array_map(
            static fn (string $name) => strtr($name, ['~1' => '/', '~0' => '~']),
            explode('/', $this->text),
        );
    }

    public function toText(): string
    {
        return $this->text;
    }
}
