<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * Commands that stand or fall together: one undo step, one revision.
 *
 * @template D of Document
 */
final readonly class Batch
{
    public const MOST = 200;

    /** @param list<Command<D>> $commands */
    private function __construct(public array $commands)
    {
    }

    /**
     * @template T of Document
     *
     * @param list<Command<T>> $commands
     *
     * @return self<T>
     */
    public static function of(array $commands): self
    {
        return new self($commands);
    }

    /**
     * @template T of Document
     *
     * @param Kind<T> $kind
     *
     * @return self<T>
     *
     * @throws Refusal with the place, e.g. `/commands/0/fill/colour`
     */
    public static function parse(Input $list, Kind $kind): self
    {
        return new self(array_map($kind->commands()->read(...), $list->asList(self::MOST, 1)));
    }

    /**
     * Without commands that a later one of the same target replaces, where nothing of another target stands between.
     *
     * @return self<D>
     */
    public function merged(): self
    {
        $merged = [];
        foreach ($this->commands as $command) {
            $last = end($merged);
            $target = $command->target()?->toText();
            if ($last !== false && $target !== null && $last->target()?->toText() === $target) {
                array_pop($merged);
            }
            $merged[] = $command;
        }

        return new self($merged);
    }

    /**
     * @param D $document
     *
     * @return Outcome<D>
     *
     * @throws Refusal of the first command that cannot be done; nothing is done then
     */
    public function apply(Document $document): Outcome
    {
        $inverses = $labels = $reads = $writes = [];
        foreach ($this->commands as $index => $command) {
            try {
                $change = $command->apply($document);
            } catch (Refusal $refusal) {
                throw $refusal->below("/commands/$index");
            }
            $document = $change->after;
            $inverses = [...$change->inverse, ...$inverses];
            $reads[] = $change->reads;
            $writes[] = $change->writes;
            $label = ['code' => $command->toArray()['do'], 'about' => $change->about];
            $labels[json_encode($label, \JSON_THROW_ON_ERROR)] = $label;
        }

        return new Outcome(
            $document,
            new self($inverses),
            Scopes::of()->and(...$reads),
            Scopes::of()->and(...$writes),
            array_values($labels),
        );
    }

    /** @return list<array<string, mixed>> */
    public function toArray(): array
    {
        return array_map(static fn (Command $command) => $command->toArray(), $this->commands);
    }
}
