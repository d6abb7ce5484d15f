<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

/** A command whose input is a binary file, given by `--file FILE`. */
interface FileCommand extends Described
{
    /** @return array<string, array{least: int, most: int, otherwise: int}> whole numbers, given by `--NAME NUMBER` */
    public function options(): array;

    /**
     * @param array<string, int> $options all of them
     *
     * @return array<string, mixed>
     *
     * @throws \UpperPane\Core\Base\Refusal
     */
    public function runFile(string $bytes, array $options): array;
}
