<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** The shape that pictures, videos and playlists are seen in, with or without a line along its edge. */
final readonly class Clip
{
    use Altered;

    private function __construct(public Shape $shape, public int $radiusPx, public ?Outline $line)
    {
    }

    public static function parseOrNone(Input $input): ?self
    {
        $clip = $input->optional('clip');
        if ($clip === null) {
            return null;
        }
        $clip->keys(['shape', 'radius', 'line']);
        $shape = $clip->enum('shape', Shape::class);
        \assert($shape instanceof Shape);
        $line = $clip->optional('line');

        return new self($shape, $clip->int('radius', 0, 10_000), $line === null ? null : Outline::parse($line));
    }

    public function resolved(Names $names): self
    {
        return $this->altered([
            'line' => $this->line?->resolved($names),
        ]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['shape' => $this->shape->value, 'radius' => $this->radiusPx] +
            ($this->line === null ? [] : ['line' => $this->line->toArray()]);
    }
}
