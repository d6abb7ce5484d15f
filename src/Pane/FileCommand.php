<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

/** A command whose input is a binary file, given by `--file FILE`. */
interface FileCommand extends Described
{
    /**
     * @return array<string, mixed>
     *
     * @throws \UpperPane\Core\Base\Refusal
     */
    public function runFile(string $bytes): array;
}
