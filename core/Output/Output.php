<?php

declare(strict_types=1);

namespace UpperPane\Core\Output;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Size;

/** One output of a player: its signal mode (px and mHz) and the slices that fill its raster. */
final readonly class Output
{
    public const MOST_SLICES = 400;
    public const USUAL_MILLIHERTZ = 60_000;

    /** @param list<Slice> $slices */
    private function __construct(
        public string $player,
        public int $number,
        public Size $raster,
        public int $millihertz,
        public array $slices,
    ) {
    }

    /** @param list<Slice> $slices */
    public static function of(
        string $player,
        int $number,
        Size $raster,
        array $slices,
        int $millihertz = self::USUAL_MILLIHERTZ,
    ): self {
        return new self($player, $number, $raster, $millihertz, $slices);
    }

    public static function parse(Input $input): self
    {
        $input->keys(['player', 'number', 'px', 'millihertz', 'slices']);

        return new self(
            $input->id('player'),
            $input->int('number', 1, 64),
            Size::parse($input->child('px')),
            $input->int('millihertz', 1000, 1_000_000),
            array_map(Slice::parse(...), $input->list('slices', self::MOST_SLICES)),
        );
    }

    /** @param list<Slice> $slices */
    public function withSlices(array $slices): self
    {
        return new self($this->player, $this->number, $this->raster, $this->millihertz, $slices);
    }

    /** As people call it: the player and the number. */
    public function name(): string
    {
        return $this->player.' · '.$this->number;
    }

    /** @return array<string, mixed> as it is read */
    public function toArray(): array
    {
        return [
            'player' => $this->player,
            'number' => $this->number,
            'px' => $this->raster->toArray(),
            'millihertz' => $this->millihertz,
            'slices' => array_map(static fn (Slice $slice) => $slice->toArray(), $this->slices),
        ];
    }
}
