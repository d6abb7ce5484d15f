<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Fill\EmptyFill;
use UpperPane\Core\Document\Scene;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Mullion;

/**
 * `pane.span`: a pane set in one step to what lies around some rectangles of the canvas: a panel, a row, a column, several panels.
 * Each side moves the mullion that bounds the pane there; where there is none, the pane is divided and the rest becomes an
 * empty pane with a letter of its own. A neighbour that shows nothing yet, or would lie wholly under it, is merged into it.
 */
final readonly class SpanPane implements Command
{
    public const NAME = 'pane.span';

    /** What can shrink does so first, so that a pane grows only beside those it will lie beside; what had to grow before it could shrink, last. */
    private const SIDES = [
        [Axis::X, true, false], [Axis::X, false, false], [Axis::Y, true, false], [Axis::Y, false, false],
        [Axis::X, true, true], [Axis::X, false, true], [Axis::Y, true, true], [Axis::Y, false, true],
        [Axis::X, true, false], [Axis::X, false, false], [Axis::Y, true, false], [Axis::Y, false, false],
    ];

    private Rect $rect;

    /**
     * @param non-empty-list<Rect> $over what it is to span, seams between them included
     * @param string               $new  what the ids of new zones and splits begin with
     */
    public function __construct(private string $scene, private string $pane, private array $over, private string $new)
    {
        $this->rect = Rect::around(...$over);
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'pane', 'over', 'new']);
        $over = array_map(Rect::parse(...), $input->list('over', 400, 1));
        if ($over === []) {
            throw new \LogicException('The list has at least one rectangle.');
        }

        return new self($input->id('scene'), $input->id('pane'), $over, $input->id('new'));
    }

    public function apply(Design $design): Change
    {
        $before = SceneLayout::of($design, $this->scene);
        $canvas = $before->canvas();
        if (!$canvas->rect()->contains($this->rect)) {
            throw Refusal::because('span.outside', '/over', ['width' => $canvas->width, 'height' => $canvas->height]);
        }
        if (!isset($before->resolved()->panes[$this->pane])) {
            throw Refusal::because('document.zone_gone', '/pane', ['zone' => $this->pane]);
        }
        $reads = $writes = $patch = [];
        foreach (self::SIDES as [$axis, $first, $grows]) {
            do {
                $step = $this->step($design, $axis, $first, $grows);
                $change = $step?->apply($design);
                $design = $change->after ?? $design;
                $reads = [...$reads, ...$change->reads ?? []];
                $writes = [...$writes, ...$change->writes ?? []];
                $patch = [...$patch, ...$change->patch ?? []];
            } while ($step instanceof MergePane);
        }
        $after = SceneLayout::of($design, $this->scene);
        [$was, $is] = [$before->scene->zones, $after->scene->zones];
        $zones = array_diff_key($was, $is) + array_map(static fn () => null, array_diff_key($is, $was));

        return new Change($design, new PutGlazing($this->scene, $after->tree->id(), $before->tree, $zones), array_values(array_unique($reads)), array_values(array_unique($writes)), $patch);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'pane' => $this->pane, 'over' => array_map(static fn (Rect $rect) => $rect->toArray(), $this->over), 'new' => $this->new];
    }

    /** What brings one side of the pane to its line, or nearer to it by a pane taken in; null when it lies there or it is not its turn. */
    private function step(Design $design, Axis $axis, bool $first, bool $grows): ?Command
    {
        $layout = SceneLayout::of($design, $this->scene);
        $glazing = $layout->resolved();
        $now = $glazing->panes[$this->pane];
        $wanted = $first ? $this->rect->start($axis) : $this->rect->end($axis);
        $inside = $wanted > $now->start($axis) && $wanted < $now->end($axis);
        $outside = $first ? $wanted < $now->start($axis) : $wanted > $now->end($axis);
        if ($grows ? !$outside : !$inside) {
            return null;
        }
        foreach ($glazing->mullions as $mullion) {
            if ($mullion->axis === $axis && in_array($this->pane, $mullion->between[$first ? 1 : 0], true)) {
                return $this->moved($mullion, $first, $first ? $wanted - $mullion->gutter : $wanted, $layout->scene, $glazing);
            }
        }
        $name = $this->new.($axis === Axis::X ? 'x' : 'y').($first ? '1' : '2');

        return new SplitPane($this->scene, $this->pane, $axis, $wanted, "z-$name", "g-$name", $first);
    }

    private function moved(Mullion $mullion, bool $first, int $atPx, Scene $scene, Glazing $glazing): Command
    {
        [$neighbour, $own] = $first ? $mullion->partIds : array_reverse($mullion->partIds);
        if ($atPx >= $mullion->rangePx[0] && $atPx <= $mullion->rangePx[1]) {
            return new MoveMullion($this->scene, [$mullion->partIds[1]], $atPx);
        }
        $rect = $glazing->panes[$neighbour] ?? null;
        $mayGo = $rect !== null && ($scene->zone($neighbour)->fill() instanceof EmptyFill || ($own === $this->pane && $this->rect->contains($rect)));
        if ($mayGo) {
            return new MergePane($this->scene, $neighbour, $own);
        }
        throw Refusal::because('span.blocked', '/over', ['at' => $atPx, 'least' => $mullion->rangePx[0], 'most' => $mullion->rangePx[1]]);
    }
}
