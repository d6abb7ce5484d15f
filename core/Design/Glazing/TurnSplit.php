<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Glazing;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\SizeUnit;
use UpperPane\Core\Layout\Split;
use UpperPane\Core\Layout\Tree;

/**
 * `split.turn`: columns become rows, or rows columns, in the same order and proportion: % and shares stay, px and mm
 * become shares of their px, since they measured the other axis. Minimums go. Refuses `document.part_gone`.
 */
final readonly class TurnSplit implements DesignCommand
{
    public const NAME = 'split.turn';

    private function __construct(private string $scene, private bool $turned, private string $split)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'split']);
        [$scene, $turned] = LayoutAt::fields($input);

        return new self($scene, $turned, $input->id('split'));
    }

    public function apply(Document $document): Change
    {
        $at = LayoutAt::of($document, $this->scene, $this->turned);
        $split = Tree::find($at->tree(), $this->split);
        if (!$split instanceof Split) {
            throw Refusal::because('document.part_gone', '/split', ['part' => $this->split]);
        }
        $glazing = $at->glazing();
        $measured = array_filter(
            $split->parts,
            static fn (Part $part) => in_array($part->size()->unit, [SizeUnit::Px, SizeUnit::Mm], true),
        );
        $parts = array_map(
            static fn (Part $part): Part => $part
                ->withSize(
                    $measured !== [] && $part->size()->unit !== SizeUnit::Percent
                        ? PartSize::fr(max(1, $glazing->rect($part->id())?->length($split->axis) ?? 1))
                        : $part->size(),
                )
                ->withLeast(0),
            $split->parts,
        );
        $new = new Split(
            $split->id(),
            $split->axis->other(),
            $split->gutterPx,
            $parts,
            $split->size(),
            $split->leastPx(),
        );
        $put = $at->put(Tree::replace($at->tree(), $this->split, $new));
        $ids = array_map(static fn (Part $part) => $part->id(), $split->parts);

        return new Change(
            $put->after,
            [new PutGlazing($this->scene, $this->turned, $this->split, $split)],
            Scopes::of(...$at->geometry($split)),
            $put->touched->and(
                Scopes::of($at->parts($this->split), $at->part($this->split), ...array_map($at->part(...), $ids)),
            ),
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
            'split' => $this->split,
        ];
    }
}
