<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Size;

/** A line that somebody laid on a canvas to work by; nothing of it is shown on a surface. */
final readonly class Guide
{
    /** @param Axis $axis along which `atPx` counts: a guide of axis x stands upright */
    private function __construct(public bool $turned, public Axis $axis, public int $atPx)
    {
    }

    /** @param Input $input `layout` (`own` or `turned`), `axis`, `at` in px */
    public static function parse(Input $input): self
    {
        return new self(
            $input->choice('layout', ['own', 'turned']) === 'turned',
            $input->enum('axis', Axis::class),
            $input->int('at', 0, Size::LARGEST_PX),
        );
    }

    /** @throws Refusal `guide.outside` */
    public function on(Size $canvas, string $path): self
    {
        $length = $this->axis->lengthOf($canvas);

        return $this->atPx <= $length
            ? $this
            : throw Refusal::because('guide.outside', $path, ['at' => $this->atPx, 'most' => $length]);
    }

    /** @return array{layout: string, axis: string, at: int} */
    public function toArray(): array
    {
        return ['layout' => $this->turned ? 'turned' : 'own', 'axis' => $this->axis->value, 'at' => $this->atPx];
    }
}
