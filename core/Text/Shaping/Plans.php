<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Shaping;

use UpperPane\Core\Text\File\FontReader;

/**
 * Which lookups of a font shape each script; found once.
 *
 * @phpstan-import-type Tables from FontReader
 */
final class Plans
{
    /** @var array<int, array{list<int>, list<int>}> by script: of GSUB, of GPOS */
    private array $known = [];

    /**
     * @param Tables       $tables
     * @param list<string> $without features that are off
     */
    public function __construct(private readonly array $tables, private readonly array $without)
    {
    }

    /** @return array{list<int>, list<int>} */
    public function of(int $script): array
    {
        return $this->known[$script] ??= [
            $this->lookups($this->tables['substituting'], $script),
            $this->lookups($this->tables['positioning'], $script),
        ];
    }

    /**
     * @param array<string, array<string, list<int>>> $scripts
     *
     * @return list<int> in the font's order
     */
    private function lookups(array $scripts, int $script): array
    {
        foreach (Script::tags($script) as $tag) {
            if (isset($scripts[$tag])) {
                $features = array_diff_key($scripts[$tag], array_flip($this->without));
                $lookups = array_unique(array_merge([], ...array_values($features)));
                sort($lookups);

                return $lookups;
            }
        }

        return [];
    }
}
