<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Scenes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;

/** `design.surfaces`: for which surfaces it is meant, beside the one it is made on. */
final readonly class SetSurfaces implements DesignCommand
{
    public const NAME = 'design.surfaces';

    /** @param list<string> $codes */
    private function __construct(private array $codes)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'surfaces']);

        return new self(Design::codes($input->child('surfaces')));
    }

    public function apply(Document $document): Change
    {
        return new Change(
            $document->with(['surfaces' => $this->codes]),
            [new self($document->surfaces)],
            Scopes::of(),
            Scopes::of(Spot::surfaces()),
        );
    }

    public function target(): Scope
    {
        return Spot::surfaces();
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'surfaces' => $this->codes];
    }
}
