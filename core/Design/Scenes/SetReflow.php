<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Layout\ReflowScale;

/** `design.reflow`: what a px becomes on surfaces of another size. */
final readonly class SetReflow implements DesignCommand
{
    public const NAME = 'design.reflow';

    public function __construct(private ReflowScale $by)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'by']);

        return new self($input->enum('by', ReflowScale::class));
    }

    public function apply(Document $document): Change
    {
        return new Change(
            $document->with(['reflow' => $this->by]),
            [new self($document->reflow)],
            Scopes::of(),
            Scopes::of(Spot::reflow()),
        );
    }

    public function target(): Scope
    {
        return Spot::reflow();
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'by' => $this->by->value];
    }
}
