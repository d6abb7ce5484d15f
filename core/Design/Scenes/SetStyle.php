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

/** `design.style`: the house style whose names its fills use; null for none, then they stay as they were chosen. */
final readonly class SetStyle implements DesignCommand
{
    public const NAME = 'design.style';

    private function __construct(private ?string $style)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'style']);

        return new self($input->child('style')->isNull() ? null : $input->id('style'));
    }

    public function apply(Document $document): Change
    {
        return new Change(
            $document->with(['style' => $this->style]),
            [new self($document->style)],
            Scopes::of(),
            Scopes::of(Spot::style()),
        );
    }

    public function target(): Scope
    {
        return Spot::style();
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'style' => $this->style];
    }
}
