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
use UpperPane\Core\Layout\SizeUnit;
use UpperPane\Core\Layout\Tree;

/**
 * `part.lock`: a part keeps the px it has, whatever is done beside it, until it is unlocked: lines beside it do not
 * move, and no size can be typed. Locked it is sized in px; `as_is`, it stays written as it is, as when a lock comes
 * back. Refuses `document.part_gone`, and what the layout refuses.
 */
final readonly class LockPart implements DesignCommand
{
    public const NAME = 'part.lock';

    public function __construct(
        private string $scene,
        private bool $turned,
        private string $part,
        private bool $locked,
        private bool $asIs = false,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'layout', 'part', 'locked', 'as_is']);

        [$scene, $turned] = LayoutAt::fields($input);

        return new self(
            $scene,
            $turned,
            $input->id('part'),
            $input->bool('locked'),
            $input->has('as_is') && $input->bool('as_is'),
        );
    }

    public function apply(Document $document): Change
    {
        $before = LayoutAt::of($document, $this->scene, $this->turned);
        $split =
            Tree::parent($before->tree(), $this->part) ??
            throw Refusal::because('document.part_gone', '/part', ['part' => $this->part]);
        $part = Tree::find($before->tree(), $this->part);
        $sized = null;
        $was = $before->layout->isLocked($this->part);
        if ($this->locked && !$this->asIs && !$was && $part?->size()->unit !== SizeUnit::Px) {
            $px = $before->glazing()->rect($this->part)?->length($split->axis) ?? 0;
            $sized = SizePart::px($this->scene, $this->turned, $this->part, $px)->apply($document);
        }
        $at = LayoutAt::of($sized->after ?? $document, $this->scene, $this->turned);

        return new Change(
            $at->design->withScene(
                $at->scene->withLayout($this->turned, $at->layout->withLock($this->part, $this->locked)),
            ),
            [new self($this->scene, $this->turned, $this->part, $was, true), ...$sized->inverse ?? []],
            // What is locked at its px depends on what it came to.
            ($sized->reads ?? Scopes::of())->and(
                $sized === null ? Scopes::of() : Scopes::of($before->rect($split->id()), $before->rect($this->part)),
            ),
            ($sized->writes ?? Scopes::of())->and(Scopes::of($before->part($this->part))),
            isset($document->zones[$this->part]) ? ['letter' => $document->zone($this->part)->letter()] : [],
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
            'part' => $this->part,
            'locked' => $this->locked,
        ] + ($this->asIs ? ['as_is' => true] : []);
    }
}
