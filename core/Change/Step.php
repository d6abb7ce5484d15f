<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

/** A stored batch as history sees it: a plain value. */
final readonly class Step
{
    /**
     * @param int    $number  the revision it made
     * @param string $author  who did it, by a key that never changes
     * @param string $client  the queue it came from; one person may have several at once
     * @param ?int   $cancels the number of the step that an undo or redo takes back
     */
    public function __construct(
        public int $number,
        public string $author,
        public string $client,
        public Nature $nature,
        public ?int $cancels,
        public Scopes $reads,
        public Scopes $writes,
    ) {
    }
}
