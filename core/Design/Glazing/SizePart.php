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
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;
use UpperPane\Core\Layout\Typed;

/**
 * `part.size`: an exact size, typed. The parts sized in shares take what is left; when there is none, the neighbour
 * (after it, or before the last one) becomes one. Refuses `document.part_gone`, `part.locked`, and what the layout
 * refuses, beside the size.
 */
final readonly class SizePart implements DesignCommand
{
    public const NAME = 'part.size';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $part,
        private Typed $size,
    ) {
    }

    /** To so many px. */
    public static function px(string $scene, bool $turned, string $part, int $px): self
    {
        return new self($scene, $turned, $part, Typed::parse(Input::of("{$px}px")));
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'part', 'size']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self($scene, $turned, $input->id('part'), Typed::parse($input->child('size')));
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $split =
            Tree::parent($at->tree(), $this->part) ??
            throw Refusal::because('document.part_gone', '/part', ['part' => $this->part]);
        $size = $this->size->partSize(
            $at->glazing()->rect($split->id())?->length($split->axis) ?? $split->axis->lengthOf($at->canvas()),
            $at->sizing()->pitchUm($split->axis),
            '/size',
        );
        $sized = $this->sized($split, $size);
        $at->refuseLocked('/part', $this->part, ...array_map(
            static fn (Part $part) => $part->id(),
            Tree::resized($split, $sized),
        ));
        try {
            $put = $at->put(Tree::replace($at->tree(), $split->id(), $sized));
        } catch (Refusal $refusal) {
            throw $refusal->at('/size', ['part' => $this->part]);
        }
        $old = Tree::resized($split, $sized);

        return new Change(
            $put->after,
            [SetSizes::asNow($this->scene, $this->turned, ...$old)],
            Scopes::of(
                $at->parts($split->id()),
                ...$this->size->dependsOnFrame() ? [$at->rect($split->id())] : [],
                ...array_map(static fn (Part $part) => $at->part($part->id()), $split->parts),
            ),
            $put->touched->and(
                Scopes::of(
                    $at->part($this->part),
                    ...array_map(static fn (Part $part) => $at->part($part->id()), $old),
                ),
            ),
            isset($document->zones[$this->part]) ? ['letter' => $document->zone($this->part)->letter()] : [],
        );
    }

    public function target(): Scope
    {
        return LayoutAt::scopeOf($this->scene, $this->turned)->below('part', $this->part);
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'layout' => $this->turned ? LayoutAt::TURNED : LayoutAt::OWN,
            'part' => $this->part,
            'size' => $this->size->toText(),
        ];
    }

    private function sized(Split $split, PartSize $size): Split
    {
        $ids = array_map(static fn (Part $part) => $part->id(), $split->parts);
        $at = (int) array_search($this->part, $ids, true);
        $othersShare =
            array_filter($split->parts, fn (Part $part) => $part->id() !== $this->part && $part->size()->isShare()) !==
            [];
        $taker = $othersShare || $size->isShare() ? null : $ids[$at + 1] ?? ($ids[$at - 1] ?? null);

        return $split->withParts(
            array_map(
                fn (Part $part) => match ($part->id()) {
                    $this->part => $part
                        ->withSize($size)
                        ->withLeast($size->isShare() ? $part->leastPx() : 0),
                    $taker => $part->withSize(PartSize::fr(1)),
                    default => $part,
                },
                $split->parts,
            ),
        );
    }
}
