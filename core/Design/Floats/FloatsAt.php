<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\FloatPlace;
use UpperPane\Core\Layout\Placing;

/** Several floats of one layout, moved together: what aligning, spreading, matching and dragging have in common. */
final readonly class FloatsAt
{
    public const MOST = 200;

    /**
     * @param list<string>        $zones
     * @param array<string, Rect> $panels by letter, for floats that are held to one
     */
    private function __construct(
        public string $scene,
        public bool $turned,
        public array $zones,
        public array $panels,
    ) {
    }

    /** @param list<string> $zones */
    public static function parse(Input $input, array $zones): self
    {
        [$scene, $turned] = LayoutAt::fields($input);
        $panels = $input->has('panels') ? array_map(Rect::parse(...), $input->child('panels')->members()) : [];

        return new self($scene, $turned, $zones, $panels);
    }

    /** @return list<string> from a list of ids */
    public static function ids(Input $input, int $least): array
    {
        $ids = array_map(static fn (Input $id) => $id->asId(), $input->list('zones', self::MOST, $least));

        return array_values(array_unique($ids));
    }

    public function layout(Design $design): LayoutAt
    {
        return LayoutAt::of($design, $this->scene, $this->turned);
    }

    /**
     * @return array<string, Rect> where they lie, unturned, by zone
     *
     * @throws Refusal `float.gone`, `float.locked`
     */
    public function rects(LayoutAt $at): array
    {
        return array_map(static fn (array $one): Rect => $one[1], $this->lying($at));
    }

    /** @return array<string, Rect> the least upright rectangles around what is drawn, by zone */
    public function boxes(LayoutAt $at): array
    {
        $placed = $at->placing($this->panels)->placed;
        $boxes = [];
        foreach (array_keys($this->lying($at)) as $zone) {
            $boxes[$zone] = $placed[$zone]->box();
        }

        return $boxes;
    }

    /**
     * @param array<string, Rect> $rects by zone
     *
     * @return Change<Design>
     */
    public function put(LayoutAt $at, array $rects): Change
    {
        $new = $inverse = $reads = $writes = $letters = [];
        foreach ($this->lying($at) as $zone => [$float, , $frame]) {
            $new[$zone] = $float->movedTo($frame, $rects[$zone]);
            $inverse[] = SetFloat::asItWas($at, $float);
            $writes[] = $at->float($zone);
            $reads = [...$reads, ...$float->pane() === null ? [] : [$at->rect($float->pane())]];
            $letters[] = $at->design->zone($zone)->letter();
        }
        $floats = array_map(static fn (FloatPlace $one) => $new[$one->zone] ?? $one, $at->layout->floats);

        return new Change(
            $at->putFloats($floats)->after,
            $inverse,
            Scopes::of(...$reads),
            Scopes::of(...$writes),
            ['letter' => implode(', ', $letters)],
        );
    }

    /** @return array{do: string, scene: string, layout: string, panels?: array<string, array<int, int>>} said first */
    public function toArray(string $name): array
    {
        return [
            'do' => $name,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
        ] +
            ($this->panels === []
                ? []
                : ['panels' => array_map(static fn (Rect $rect) => $rect->toArray(), $this->panels)]);
    }

    /** @return array<string, array{FloatPlace, Rect, Rect}> the float, where it lies, its frame; by zone */
    private function lying(LayoutAt $at): array
    {
        $panes = $at->glazing()->panes;
        $lying = [];
        foreach ($this->zones as $zone) {
            $float = $at->movable($zone, '/zones');
            $frame = Placing::frame($float->frame, $at->canvas(), $panes, $this->panels) ?? $at->canvas()->rect();
            $lying[$zone] = [$float, $float->rect($frame), $frame];
        }

        return $lying;
    }
}
