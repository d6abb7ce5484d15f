<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Outcome;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;

/** What a batch changed beyond what it declares that it writes: somebody else's change there would be lost unseen. */
final class Declared
{
    /**
     * @template D of Document
     *
     * @param D                                     $before
     * @param Outcome<D>                            $outcome
     * @param \Closure(list<string>): ?list<string> $place what commands call a place of the document; null for what
     *     nobody sets
     *
     * @return list<string> places of the document
     */
    public static function beyond(Document $before, Outcome $outcome, \Closure $place): array
    {
        $plain = static fn (Document $document): array => (array) json_decode(
            (string) json_encode($document->toArray()),
            true,
        );
        $beyond = [];
        foreach (self::changed($plain($before), $plain($outcome->after), []) as $path) {
            $called = $place($path);
            if ($called !== null && !$outcome->writes->meets(Scopes::of(Scope::of(...$called)))) {
                $beyond[] = implode('/', $path);
            }
        }

        return $beyond;
    }

    /**
     * @param list<string> $path
     *
     * @return iterable<non-empty-list<string>> of what has no members of its own, or is there in one alone
     */
    private static function changed(mixed $before, mixed $after, array $path): iterable
    {
        $isObject = static fn (mixed $value) => is_array($value) && $value !== [] && !array_is_list($value);
        if ($path !== [] && (!$isObject($before) || !$isObject($after))) {
            if ($before !== $after) {
                yield $path;
            }

            return;
        }
        foreach (array_keys($before + $after) as $key) {
            yield from self::changed($before[$key] ?? null, $after[$key] ?? null, [...$path, (string) $key]);
        }
    }
}
