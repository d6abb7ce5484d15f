<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Rect;

/** A transparent opening in a picture: its extent grown a little, the largest rectangle within it, its area in px. */
final readonly class Opening
{
    public function __construct(public Rect $cover, public Rect $inside, public int $px)
    {
    }

    /** As {@see toArray()} wrote it. */
    public static function parse(Input $input): self
    {
        return new self(
            Rect::parse($input->child('cover')),
            Rect::parse($input->child('inside')),
            $input->int('px', 1, \PHP_INT_MAX),
        );
    }

    /** @return array<string, mixed> as `bin/pane cutout` prints it */
    public function toArray(): array
    {
        return ['cover' => $this->cover->toArray(), 'inside' => $this->inside->toArray(), 'px' => $this->px];
    }
}
