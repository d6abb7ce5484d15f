<?php

declare(strict_types=1);

namespace UpperPane\Core\Base;

/** Things that register under a name: of two with one name the second would take the first one's place unseen. */
final class ByName
{
    /**
     * @template T
     *
     * @param iterable<T>         $things
     * @param \Closure(T): string $name
     *
     * @return array<string, T>
     *
     * @throws \LogicException when a name is taken
     */
    public static function each(iterable $things, \Closure $name): array
    {
        $named = [];
        foreach ($things as $thing) {
            $called = $name($thing);
            $named[$called] = isset($named[$called])
                ? throw new \LogicException("Two register as “{$called}”: give one of them another name.")
                : $thing;
        }

        return $named;
    }
}
