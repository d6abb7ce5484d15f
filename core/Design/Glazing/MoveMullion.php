<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Glazing;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Mullion;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;

/**
 * `mullion.move`: one or more lines, each named by the part after it, to one canvas px: only the two neighbours of each
 * change (model §3). Refuses `document.part_gone`, `mullion.beyond`, `part.locked`.
 */
final readonly class MoveMullion implements DesignCommand
{
    public const NAME = 'mullion.move';

    public function __construct(
        private string $scene,
        private bool $turned,
/** @var list<string> parts after the lines */ private array $after,
        private int $atPx,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'after', 'at']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self(
            $scene,
            $turned,
            array_map(static fn (Input $id) => $id->asId(), $input->list('after', 100, 1)),
            $input->int('at', 0, Size::LARGEST_PX),
        );
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $glazing = $at->glazing();
        $tree = $at->tree();
        $old = $reads = [];
        foreach ($this->after as $after) {
            $split =
                Tree::parent($tree, $after) ??
                throw Refusal::because('document.part_gone', '/after', ['part' => $after]);
            $moved = $this->moved($split, $this->mullion($at, $glazing, $after), $at, $glazing);
            $old = [...$old, ...Tree::resized($split, $moved)];
            $reads = [...$reads, ...$at->geometry($split)];
            $tree = Tree::replace($tree, $split->id(), $moved);
        }
        $put = $at->put($tree);

        return new Change(
            $put->after,
            [SetSizes::asNow($this->scene, $this->turned, ...$old)],
            Scopes::of(...$reads),
            $put->touched->and(Scopes::of(...array_map(static fn (Part $part) => $at->part($part->id()), $old))),
        );
    }

    public function target(): Scope
    {
        return LayoutAt::scopeOf($this->scene, $this->turned)->below('line', ...$this->after);
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
            'after' => $this->after,
            'at' => $this->atPx,
        ];
    }

    private function mullion(LayoutAt $at, Glazing $glazing, string $after): Mullion
    {
        foreach ($glazing->mullions() as $mullion) {
            if ($mullion->partIds[1] === $after) {
                $at->refuseLocked('/after', ...$mullion->partIds);
                [$least, $most] = $mullion->rangePx;
                if ($this->atPx < $least || $this->atPx > $most) {
                    throw Refusal::because('mullion.beyond', '/at', [
                        'at' => $this->atPx,
                        'least' => $least,
                        'most' => $most,
                    ]);
                }

                return $mullion;
            }
        }
        throw Refusal::because('document.part_gone', '/after', ['part' => $after]);
    }

    private function moved(Split $split, Mullion $mullion, LayoutAt $at, Glazing $glazing): Split
    {
        [$before, $after] = $mullion->partIds;
        $start = $glazing->rect($before)?->start($mullion->axis) ?? 0;
        $end = $glazing->rect($after)?->end($mullion->axis) ?? 0;

        return Tree::relength(
            $split,
            [$before => $this->atPx - $start, $after => $end - $mullion->gutter - $this->atPx],
            $glazing,
            $at->sizing(),
        );
    }
}
