<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Floats;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Anchor;
use UpperPane\Core\Layout\FloatPlace;
use UpperPane\Core\Layout\Placing;

/**
 * `float.anchor`: holds a float to another point or frame; it stays where it is, its offset and size are written in px
 * from there. Refuses `float.gone`, `float.locked`, `float.frame`, `float.frame_unknown` for a pane that does not stand
 * in this layout.
 */
final readonly class AnchorFloat implements DesignCommand
{
    public const NAME = 'float.anchor';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $zone,
        private string $frame,
        private Anchor $anchor,
/** @var array<string, Rect> panels by letter, in canvas px */ private array $panels,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'zone', 'frame', 'anchor', 'panels']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self(
            $scene,
            $turned,
            $input->id('zone'),
            FloatPlace::frame($input),
            $input->enum('anchor', Anchor::class),
            $input->has('panels') ? array_map(Rect::parse(...), $input->child('panels')->members()) : [],
        );
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $float = $at->movable($this->zone, '/zone');
        $panes = $at->glazing()->panes;
        $frame =
            Placing::frame($this->frame, $at->canvas(), $panes, $this->panels) ??
            throw Refusal::because('float.frame_unknown', '/frame', [
                'frame' => $this->frame,
                'known' => array_map(static fn (int|string $id) => "pane:$id", array_keys($panes)),
            ]);
        $now = Placing::of($at->glazing(), [$float], $at->canvas(), $this->panels)->placed[$this->zone]->rect;

        return SetFloat::replacing(
            $at,
            $float,
            FloatPlace::held($this->zone, $this->frame, $frame, $this->anchor, $now, $float->turnCentidegrees)
                ->withTraits($float->traits),
        )->touching(Scopes::of($at->scope()->below('rect')), Scopes::of());
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
            'zone' => $this->zone,
            'frame' => $this->frame,
            'anchor' => $this->anchor->value,
        ] +
            ($this->panels === []
                ? []
                : ['panels' => array_map(static fn (Rect $rect) => $rect->toArray(), $this->panels)]) +
            [];
    }
}
