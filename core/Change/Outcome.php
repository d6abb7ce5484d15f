<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

/**
 * What a batch did, whole. Its reads and writes decide whether it can be applied on a later revision.
 *
 * @template D of Document
 */
final readonly class Outcome
{
    /**
     * @param D                                                   $after
     * @param Batch<D>                                            $inverse
     * @param list<array{code: string, about: array<string, string>}> $labels what was done, for the history's words:
     *     each once
     */
    public function __construct(
        public Document $after,
        public Batch $inverse,
        public Scopes $reads,
        public Scopes $writes,
        public array $labels,
    ) {
    }

    /** All that must be as it was for this batch to mean the same. */
    public function touched(): Scopes
    {
        return $this->reads->and($this->writes);
    }
}
