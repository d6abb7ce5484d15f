<?php

declare(strict_types=1);

namespace UpperPane\Core\Exchange;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\Fill\Colour;
use UpperPane\Core\Design\Fill\ColourFill;
use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Picture\FitMode;
use UpperPane\Core\Plan\ZonePlan;

/** A region of a SMIL layout in canvas px: where it lies, over what, and how media are sized into it. */
final readonly class SmilRegion
{
    /**
     * @param array{int, int} $focus  in percent, 0, 50 or 100 when it was read
     * @param ?string         $ground #rrggbb; null where one sees through
     */
    public function __construct(
        public string $id,
        public Rect $rect,
        public int $z,
        public FitMode $fit,
        public array $focus,
        public ?string $ground,
    ) {
    }

    /** A zone as its letter; a medium's fit and focal point, to the next of the nine positions when it is written. */
    public static function ofZone(ZonePlan $plan): self
    {
        $fill = $plan->zone->fill();
        $isMedium = $fill instanceof MediaFill;

        return new self(
            $plan->zone->letter(),
            $plan->rect,
            $plan->placed->layer,
            $isMedium ? $fill->fit : FitMode::Contain,
            $isMedium ? [intdiv($fill->focusX, 1000), intdiv($fill->focusY, 1000)] : [50, 50],
            $fill instanceof ColourFill ? strtolower($fill->colour->hex) : null,
        );
    }

    public static function parse(Input $input): self
    {
        $input->keys(['id', 'rect', 'z', 'fit', 'focus', 'ground']);
        $focus = $input->has('focus') ? $input->list('focus', 2, 2) : null;
        $ground = $input->has('ground') ? $input->optional('ground') : null;

        return new self(
            $input->text('id', 120, 1),
            Rect::parseAnywhere($input->child('rect')),
            $input->has('z') ? $input->int('z', -1_000_000, 1_000_000) : 0,
            $input->has('fit') ? $input->enum('fit', FitMode::class) : FitMode::Contain,
            $focus === null ? [50, 50] : [$focus[0]->asInt(0, 100), $focus[1]->asInt(0, 100)],
            $ground === null ? null : strtolower(Colour::parse($ground)->hex),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'rect' => $this->rect->toArray(),
            'z' => $this->z,
            'fit' => $this->fit->value,
            'focus' => $this->focus,
            'ground' => $this->ground,
        ];
    }
}
