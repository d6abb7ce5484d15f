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

/** `design.still`: whether its texts stand still and everything changes by a cut. */
final readonly class SetStill implements DesignCommand
{
    public const NAME = 'design.still';

    private function __construct(private bool $still)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'still']);

        return new self($input->bool('still'));
    }

    public function apply(Document $document): Change
    {
        return new Change(
            $document->with(['still' => $this->still]),
            [new self($document->still)],
            Scopes::of(),
            Scopes::of(Spot::still()),
        );
    }

    public function target(): Scope
    {
        return Spot::still();
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'still' => $this->still];
    }
}
