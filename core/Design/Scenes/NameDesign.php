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

/** `design.name`. */
final readonly class NameDesign implements DesignCommand
{
    public const NAME = 'design.name';

    public function __construct(private string $name)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'name']);

        return new self($input->name('name', 120, 1));
    }

    public function apply(Document $document): Change
    {
        return new Change(
            $document->with(['name' => $this->name]),
            [new self($document->name)],
            Scopes::of(),
            Scopes::of(Spot::name()),
            ['name' => $this->name],
        );
    }

    public function target(): Scope
    {
        return Spot::name();
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'name' => $this->name];
    }
}
