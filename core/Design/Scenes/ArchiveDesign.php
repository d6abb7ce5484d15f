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

/** `design.archive`: out of the lists, or back in them. What shows it goes on. */
final readonly class ArchiveDesign implements DesignCommand
{
    public const NAME = 'design.archive';

    private function __construct(private bool $archived)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'archived']);

        return new self($input->bool('archived'));
    }

    public function apply(Document $document): Change
    {
        return new Change(
            $document->with(['archived' => $this->archived]),
            [new self($document->archived)],
            Scopes::of(),
            Scopes::of(Spot::archived()),
            ['archived' => $this->archived ? 'yes' : 'no'],
        );
    }

    public function target(): Scope
    {
        return Spot::archived();
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'archived' => $this->archived];
    }
}
