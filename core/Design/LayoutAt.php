<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\FloatPlace;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Placing;
use UpperPane\Core\Layout\Sizing;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;

/**
 * One layout of a scene with the canvas it is made for: the design's own, or the one for the other orientation, whose
 * canvas is the design's with width and height exchanged. Commands name it by two fields, `scene` and `layout` (`own`
 * or `turned`).
 */
final readonly class LayoutAt
{
    public const OWN = 'own';
    public const TURNED = 'turned';
    public const NAMES = [self::OWN, self::TURNED];

    private function __construct(
        public Design $design,
        public Scene $scene,
        public bool $turned,
        public Layout $layout,
    ) {
    }

    /** @throws Refusal `document.scene_gone`, `document.layout_gone` */
    public static function of(Design $design, string $sceneId, bool $turned): self
    {
        $scene = $design->scene($sceneId);

        return new self(
            $design,
            $scene,
            $turned,
            $scene->layout($turned) ?? throw Refusal::because('document.layout_gone', '/layout'),
        );
    }

    /** The layout that is made for a canvas of this orientation; the own one when there is no other. */
    public static function suiting(Design $design, Scene $scene, Size $canvas): self
    {
        return self::of(
            $design,
            $scene->id,
            $scene->turned !== null && $canvas->isPortrait() !== $design->canvas->isPortrait(),
        );
    }

    /** @return array{string, bool} scene and whether it is the turned one, from a command's fields */
    public static function fields(Input $input): array
    {
        return [$input->id('scene'), $input->choice('layout', self::NAMES) === self::TURNED];
    }

    public function name(): string
    {
        return $this->turned ? self::TURNED : self::OWN;
    }

    public function canvas(): Size
    {
        return $this->sizing()->canvas;
    }

    public function sizing(): Sizing
    {
        return $this->design->sizing($this->turned);
    }

    public function tree(): Part
    {
        return $this->layout->tree;
    }

    public function glazing(): Glazing
    {
        return $this->layout->resolve($this->sizing());
    }

    /**
     * Its zones where they lie on the canvas that it is made for.
     *
     * @param array<string, Rect> $panels by letter
     */
    public function placing(array $panels = []): Placing
    {
        return Placing::of($this->glazing(), $this->layout->floats, $this->canvas(), $panels);
    }

    /**
     * Another tree in this layout, with zones that come with it; zones that then stand nowhere go.
     *
     * @param array<string, Zone> $coming    that the design does not have yet
     *
     * @throws Refusal what {@see Glazing::resolve()} refuses; `document.zone_twice`, `document.zone_unplaced`,
     *     `document.letter_taken`
     */
    public function put(Part $tree, array $coming = [], int $lettersTaken = 0): LayoutPut
    {
        return LayoutPut::of($this, $this->layout->withTree($tree), $coming, $lettersTaken);
    }

    /** @throws Refusal `part.locked` when one of these parts is */
    public function refuseLocked(string $path, string ...$parts): void
    {
        foreach ($parts as $id) {
            if ($this->layout->isLocked($id)) {
                $panes = Tree::find($this->tree(), $id)?->paneIds() ?? [];
                $letters = array_map(fn (string $pane) => $this->design->zone($pane)->letter(), $panes);
                throw Refusal::because('part.locked', $path, ['letters' => $letters]);
            }
        }
    }

    /**
     * A float that may be moved.
     *
     * @throws Refusal `float.gone`, `float.locked`
     */
    public function movable(string $zone, string $path): FloatPlace
    {
        $float = $this->layout->float($zone) ?? throw Refusal::because('float.gone', $path, ['zone' => $zone]);

        return $float->traits->locked
            ? throw Refusal::because('float.locked', $path, ['letter' => $this->design->zone($zone)->letter()])
            : $float;
    }

    /**
     * @param list<FloatPlace>    $floats
     * @param array<string, Zone> $coming
     */
    public function putFloats(array $floats, array $coming = [], int $lettersTaken = 0): LayoutPut
    {
        return LayoutPut::of($this, $this->layout->withFloats($floats), $coming, $lettersTaken);
    }

    public function scope(): Scope
    {
        return Spot::layout($this->scene->id, $this->turned);
    }

    public static function scopeOf(string $scene, bool $turned): Scope
    {
        return Spot::layout($scene, $turned);
    }

    /** A part as its split lists it: that it stands there, its size as written and its minimum. */
    public function part(string $id): Scope
    {
        return $this->scope()->below('part', $id);
    }

    /** Which parts a split has, in which order, along which axis. */
    public function parts(string $split): Scope
    {
        return $this->scope()->below('parts', $split);
    }

    public function gutter(string $split): Scope
    {
        return $this->scope()->below('gutter', $split);
    }

    /** Where a part lies, in px. */
    public function rect(string $part): Scope
    {
        return $this->scope()->below('rect', $part);
    }

    /**
     * @return list<Scope> where a split and all its parts lie, and what they are: what a change of lengths in it
     *     depends on
     */
    public function geometry(Split $split): array
    {
        return [
            $this->rect($split->id()),
            $this->parts($split->id()),
            $this->gutter($split->id()),
            ...array_map(fn (Part $part) => $this->rect($part->id()), $split->parts),
        ];
    }

    public function float(string $zone): Scope
    {
        return $this->scope()->below('float', $zone);
    }

    /** Which floats there are, and which lies over which. */
    public function floats(): Scope
    {
        return $this->scope()->below('floats');
    }

    /** @return list<Zone> zones of the scene that this layout leaves out */
    public function missing(): array
    {
        return array_map(
            $this->design->zone(...),
            array_values(array_diff($this->scene->zones(), $this->layout->zones())),
        );
    }
}
