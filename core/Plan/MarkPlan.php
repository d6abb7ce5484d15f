<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;

/** The house style's picture in a corner, over every zone of a scene. */
final readonly class MarkPlan
{
    private function __construct(public Rect $rect, public Item $item)
    {
    }

    /** Null where the style has none, or its picture is not in the Stock or not looked at yet. */
    public static function on(Size $canvas, PlanContext $context): ?self
    {
        $mark = $context->palette?->mark();
        $size = $mark === null ? null : $context->media->find($mark->media)?->size;
        if ($mark === null || $size === null) {
            return null;
        }
        $rect = $mark->on($canvas, $size);
        $fill = FillReader::read(Input::of([
            'kind' => 'picture',
            'media' => $mark->media,
            'fit' => 'contain',
            'focus' => [50_000, 50_000],
            'ground' => null,
        ]));

        return new self($rect, (new ItemCompiler($context))->compile($fill, $rect->size()));
    }

    public function movedBy(int $x, int $y): self
    {
        return new self($this->rect->movedBy($x, $y), $this->item);
    }

    /** @return array{rect: list<int>, drawing: array<string, mixed>} */
    public function toArray(): array
    {
        return ['rect' => $this->rect->toArray(), 'drawing' => $this->item->drawing];
    }
}
