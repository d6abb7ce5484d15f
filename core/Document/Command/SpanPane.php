<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Fill\EmptyFill;
use UpperPane\Core\Document\Scene;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Mullion;

/**
 * `pane.span`: a pane set to a rectangle of the canvas in one step, such as a panel, a row, a column or several panels.
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

    /** @param string $new what the ids of new zones and splits begin with */
    public function __construct(private string $scene, private string $pane, private Rect $rect, private string $new)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'pane', 'rect', 'new']);

        return new self($input->id('scene'), $input->id('pane'), Rect::parse($input->child('rect')), $input->text('new', 50, 1));
    }

    public function apply(Design $design): Change
    {
        if (!$design->canvas->rect()->contains($this->rect)) {
            throw Refusal::because('span.outside', '/rect', ['width' => $design->canvas->width, 'height' => $design->canvas->height]);
        }
        $before = $design->scene($this->scene);
        $before->zone($this->pane);
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
        $after = $design->scene($this->scene);
        $zones = array_diff_key($before->zones, $after->zones) + array_map(static fn () => null, array_diff_key($after->zones, $before->zones));

        return new Change($design, new PutGlazing($this->scene, $after->tree->id(), $before->tree, $zones), array_values(array_unique($reads)), array_values(array_unique($writes)), $patch);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'pane' => $this->pane, 'rect' => $this->rect->toArray(), 'new' => $this->new];
    }

    /** What brings one side of the pane to its line, or nearer to it by a pane taken in; null when it lies there or it is not its turn. */
    private function step(Design $design, Axis $axis, bool $first, bool $grows): ?Command
    {
        $scene = $design->scene($this->scene);
        $glazing = $design->sizing()->resolve($scene->tree);
        $now = $glazing->panes[$this->pane];
        $wanted = $first ? $this->rect->start($axis) : $this->rect->end($axis);
        $inside = $wanted > $now->start($axis) && $wanted < $now->end($axis);
        $outside = $first ? $wanted < $now->start($axis) : $wanted > $now->end($axis);
        if ($grows ? !$outside : !$inside) {
            return null;
        }
        foreach ($glazing->mullions as $mullion) {
            if ($mullion->axis === $axis && in_array($this->pane, $mullion->between[$first ? 1 : 0], true)) {
                return $this->moved($mullion, $first ? $wanted - $mullion->gutter : $wanted, $scene, $glazing, $mullion->partIds[$first ? 1 : 0], $mullion->partIds[$first ? 0 : 1]);
            }
        }
        $name = $this->new.($axis === Axis::X ? 'x' : 'y').($first ? '1' : '2');

        return new SplitPane($this->scene, $this->pane, $axis, $wanted, "z-$name", "g-$name", $first);
    }

    private function moved(Mullion $mullion, int $atPx, Scene $scene, Glazing $glazing, string $own, string $neighbour): Command
    {
        if ($atPx >= $mullion->rangePx[0] && $atPx <= $mullion->rangePx[1]) {
            return new MoveMullion($this->scene, [$mullion->partIds[1]], $atPx);
        }
        $rect = $glazing->panes[$neighbour] ?? null;
        $mayGo = $rect !== null && ($scene->zone($neighbour)->fill() instanceof EmptyFill || ($own === $this->pane && $this->rect->contains($rect)));
        if ($mayGo) {
            return new MergePane($this->scene, $neighbour, $own);
        }
        throw Refusal::because('span.blocked', '/rect', ['at' => $atPx, 'least' => $mullion->rangePx[0], 'most' => $mullion->rangePx[1]]);
    }
}
