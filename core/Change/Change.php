<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

/**
 * What a command did.
 *
 * @template D of Document
 */
final readonly class Change
{
    /**
     * @param D                     $after
     * @param list<Command<D>>      $inverse what takes it back, in the order it must be done
     * @param Scopes                $reads   what its result depends on, beside what it wrote
     * @param Scopes                $writes  what is another now, or may be
     * @param array<string, string> $about   parameters of its words in a history, such as a zone's letter
     */
    public function __construct(
        public Document $after,
        public array $inverse,
        public Scopes $reads,
        public Scopes $writes,
        public array $about = [],
    ) {
    }

    /**
     * The same change, done as a part of another that reads and writes more.
     *
     * @return self<D>
     */
    public function touching(Scopes $reads, Scopes $writes): self
    {
        return new self(
            $this->after,
            $this->inverse,
            $this->reads->and($reads),
            $this->writes->and($writes),
            $this->about,
        );
    }
}
