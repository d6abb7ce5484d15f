<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

use UpperPane\Core\Base\ByName;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * The commands that one kind of document knows, by what they are called.
 *
 * @template D of Document
 */
final readonly class Commands
{
    /** @param array<string, class-string<Command<D>>> $byName */
    private function __construct(public array $byName)
    {
    }

    /**
     * @template T of Document
     *
     * @param list<array{string, class-string<Command<T>>}> $each name and class, one line each
     *
     * @return self<T>
     */
    public static function of(array $each): self
    {
        return new self(array_map(
            static fn (array $one) => $one[1],
            ByName::each($each, static fn (array $one): string => $one[0]),
        ));
    }

    /**
     * @return Command<D>
     *
     * @throws Refusal with the place of the first fault
     */
    public function read(Input $input): Command
    {
        return $this->byName[(string) $input->choice('do', $this->names())]::parse($input);
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_keys($this->byName);
    }
}
