<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

/** What every command of `bin/pane` says of itself. */
interface Described
{
    public function name(): string;

    /** What goes in and what comes out, in a line. */
    public function about(): string;

    /** @return array<string, mixed> JSON Schema (2020-12) of the input */
    public function schema(): array;
}
