<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;

/** One command of `bin/pane`: JSON in, JSON out, nothing else. */
interface Command
{
    public function name(): string;

    /** @return array<string, mixed> JSON Schema (2020-12) of the input */
    public function schema(): array;

    /**
     * @return array<string, mixed>
     *
     * @throws \UpperPane\Core\Base\Refusal with the place in the input
     */
    public function run(Input $input): array;
}
