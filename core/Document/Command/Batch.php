<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;

/** Commands that stand or fall together: one undo step, one revision. */
final readonly class Batch
{
    public const MOST = 200;

    /** @param list<Command> $commands */
    private function __construct(public array $commands)
    {
    }

    /** @throws Refusal with the place, e.g. `/commands/0/fill/colour` */
    public static function parse(Input $list): self
    {
        return new self(array_map(CommandReader::read(...), $list->asList(self::MOST, 1)));
    }

    /** @throws Refusal of the first command that cannot be done; nothing is done then */
    public function apply(Design $design): BatchResult
    {
        $inverses = $reads = $writes = $patch = [];
        foreach ($this->commands as $index => $command) {
            try {
                $change = $command->apply($design);
            } catch (Refusal $refusal) {
                throw $refusal->below("/commands/$index");
            }
            $design = $change->after;
            array_unshift($inverses, $change->inverse);
            $reads = [...$reads, ...$change->reads];
            $writes = [...$writes, ...$change->writes];
            $patch = [...$patch, ...$change->patch];
        }

        return new BatchResult($design, new self($inverses), array_values(array_unique($reads)), array_values(array_unique($writes)), $patch);
    }

    /** @return list<array<string, mixed>> */
    public function toArray(): array
    {
        return array_map(static fn (Command $command) => $command->toArray(), $this->commands);
    }

    /** @return list<string> the names of the commands, each once, for labels */
    public function names(): array
    {
        return array_values(array_unique(array_map(static fn (Command $command) => $command->toArray()['do'], $this->commands)));
    }
}
