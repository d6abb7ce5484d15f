<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Document\Design;

/** What a batch did, whole; `reads` and `writes` decide whether it can be applied on a later revision. */
final readonly class BatchResult
{
    /**
     * @param list<string>                                                          $reads
     * @param list<string>                                                          $writes
     * @param list<array{op: string, path: string}|array{op: string, path: string, value: mixed}> $patch
     */
    public function __construct(
        public Design $after,
        public Batch $inverse,
        public array $reads,
        public array $writes,
        public array $patch,
    ) {
    }

    /**
     * Whether what others wrote meets what this batch reads or writes.
     *
     * @param list<string> $written
     */
    public function meets(array $written): bool
    {
        return array_intersect($written, [...$this->reads, ...$this->writes]) !== [];
    }
}
