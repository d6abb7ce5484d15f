<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Document\Design;

/** What a command did: the new design, the command that takes it back, the ids it read and wrote, and a JSON Patch (RFC 6902) for display. */
final readonly class Change
{
    /**
     * @param list<string>                                                          $reads
     * @param list<string>                                                          $writes
     * @param list<array{op: string, path: string}|array{op: string, path: string, value: mixed}> $patch
     */
    public function __construct(
        public Design $after,
        public Command $inverse,
        public array $reads,
        public array $writes,
        public array $patch,
    ) {
    }
}
