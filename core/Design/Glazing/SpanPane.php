<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Glazing;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Fill\EmptyFill;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Mullion;

/**
 * `pane.span`: a pane set in one step to what lies around some rectangles of the canvas: a panel, a row, a column,
 * several panels. Each side moves the mullion that bounds the pane there; where there is none, the pane is divided and
 * the rest becomes an empty pane with a letter of its own. A neighbour that shows nothing yet, or would lie wholly
 * under it, is merged into it. Refuses `span.outside`, `span.blocked`, `document.zone_gone`.
 */
final readonly class SpanPane implements DesignCommand
{
    public const NAME = 'pane.span';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $pane,
/** @var non-empty-list<Rect> what it is to span, seams between them included */ private array $over,
/** what the ids of new zones and splits begin with */ private string $new,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'pane', 'over', 'new']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self(
            $scene,
            $turned,
            $input->id('pane'),
            self::rects($input->list('over', 400, 1)),
            $input->id('new'),
        );
    }

    public function apply(Document $document): Change
    {
        $before = LayoutAt::of($document, $this->scene, $this->turned);
        $canvas = $before->canvas();
        $rect = Rect::around(...$this->over);
        if (!$canvas->rect()->contains($rect)) {
            throw Refusal::because('span.outside', '/over', ['width' => $canvas->width, 'height' => $canvas->height]);
        }
        if (!isset($before->glazing()->panes[$this->pane])) {
            throw Refusal::because('document.zone_gone', '/pane', ['zone' => $this->pane]);
        }
        $design = $document;
        $inverse = [];
        [$reads, $writes] = [Scopes::of(), Scopes::of()];
        foreach (self::SIDES as [$axis, $first, $grows]) {
            do {
                $step = $this->step($design, $rect, $axis, $first, $grows);
                if ($step !== null) {
                    $change = $step->apply($design);
                    $design = $change->after;
                    $inverse = [...$change->inverse, ...$inverse];
                    [$reads, $writes] = [$reads->and($change->reads), $writes->and($change->writes)];
                }
            } while ($step instanceof MergePane);
        }
        // What is merged in depends on what its neighbours show.
        $shown = array_map(Spot::fill(...), $before->tree()->paneIds());

        return new Change(
            $design,
            $inverse,
            $reads->and(Scopes::of($before->scope()->below('rect'), ...$shown)),
            $writes,
            ['letter' => $document->zone($this->pane)->letter()],
        );
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
            'pane' => $this->pane,
            'over' => array_map(static fn (Rect $rect) => $rect->toArray(), $this->over),
            'new' => $this->new,
        ];
    }

    /**
     * What can shrink does so first, so that a pane grows only beside those it will lie beside; what had to grow before
     * it could shrink, last.
     */
    private const SIDES = [
        [Axis::X, true, false],
        [Axis::X, false, false],
        [Axis::Y, true, false],
        [Axis::Y, false, false],
        [Axis::X, true, true],
        [Axis::X, false, true],
        [Axis::Y, true, true],
        [Axis::Y, false, true],
        [Axis::X, true, false],
        [Axis::X, false, false],
        [Axis::Y, true, false],
        [Axis::Y, false, false],
    ];

    /**
     * @param list<Input> $inputs
     *
     * @return non-empty-list<Rect>
     */
    private static function rects(array $inputs): array
    {
        $rects = array_map(Rect::parse(...), $inputs);

        return $rects === [] ? throw new \LogicException('The list has at least one rectangle.') : $rects;
    }

    /**
     * What brings one side of the pane to its line, or nearer to it by a pane taken in; null when it lies there or it
     * is not its turn.
     */
    private function step(Design $design, Rect $over, Axis $axis, bool $first, bool $grows): ?DesignCommand
    {
        $at = LayoutAt::of($design, $this->scene, $this->turned);
        $now = $at->glazing()->panes[$this->pane];
        $wanted = $first ? $over->start($axis) : $over->end($axis);
        $inside = $wanted > $now->start($axis) && $wanted < $now->end($axis);
        $outside = $first ? $wanted < $now->start($axis) : $wanted > $now->end($axis);
        if ($grows ? !$outside : !$inside) {
            return null;
        }
        foreach ($at->glazing()->mullions() as $mullion) {
            if ($mullion->axis === $axis && in_array($this->pane, $mullion->between[$first ? 1 : 0], true)) {
                return $this->moved($mullion, $over, $first, $first ? $wanted - $mullion->gutter : $wanted, $at);
            }
        }
        $name = $this->new.($axis === Axis::X ? 'x' : 'y').($first ? '1' : '2');

        return new SplitPane($this->scene, $this->turned, $this->pane, $axis, $wanted, "z-$name", "g-$name", $first);
    }

    private function moved(Mullion $mullion, Rect $over, bool $first, int $atPx, LayoutAt $at): DesignCommand
    {
        [$neighbour, $own] = $first ? $mullion->partIds : array_reverse($mullion->partIds);
        if ($atPx >= $mullion->rangePx[0] && $atPx <= $mullion->rangePx[1]) {
            return new MoveMullion($this->scene, $this->turned, [$mullion->partIds[1]], $atPx);
        }
        $rect = $at->glazing()->panes[$neighbour] ?? null;
        $mayGo =
            $rect !== null
            && ($at->design->zone($neighbour)->fill() instanceof EmptyFill
                || ($own === $this->pane && $over->contains($rect)));
        if ($mayGo) {
            return new MergePane($this->scene, $this->turned, $neighbour, $own);
        }
        throw Refusal::because('span.blocked', '/over', [
            'at' => $atPx,
            'least' => $mullion->rangePx[0],
            'most' => $mullion->rangePx[1],
        ]);
    }
}
