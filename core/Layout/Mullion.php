<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Geometry\Axis;

/** A dividing line between two neighbouring parts of one split, in canvas px. `at` is the end of the part before. */
final readonly class Mullion
{
    /**
     * @param array{string, string}             $partIds    ids of the parts before and after
     * @param array{string, string}             $partPaths  JSON Pointers to them
     * @param array{list<string>, list<string>} $between    panes that touch the line, before and after
     * @param array{int, int}                   $rangePx    where `at` may go while both neighbours keep their minimum
     */
    public function __construct(
        public Axis $axis,
        public int $at,
        public int $gutter,
        public int $from,
        public int $to,
        public array $partIds,
        public array $partPaths,
        public array $between,
        public array $rangePx,
        public string $splitId,
    ) {
    }

    /** @return array<string, mixed> as `bin/pane glaze` prints it */
    public function toArray(): array
    {
        return [
            'axis' => $this->axis->value,
            'at' => $this->at,
            'gutter' => $this->gutter,
            'from' => $this->from,
            'to' => $this->to,
            'parts' => $this->partPaths,
            'between' => $this->between,
        ];
    }
}
