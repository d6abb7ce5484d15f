<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;

/** One command of `bin/pane`: JSON in, JSON out, nothing else. */
interface Command extends Described
{
    /**
     * @return array<string, mixed>
     *
     * @throws \UpperPane\Core\Base\Refusal with the place in the input
     */
    public function run(Input $input): array;
}
