<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;

/**
 * `style.name`.
 *
 * @implements Command<HouseStyle>
 */
final readonly class NameStyle implements Command
{
    public const NAME = 'style.name';

    private function __construct(private string $name)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'name']);

        return new self(HouseStyle::named($input));
    }

    public function apply(Document $document): Change
    {
        return new Change(
            $document->called($this->name),
            [new self($document->name)],
            Scopes::of(),
            Scopes::of($this->target()),
        );
    }

    public function target(): Scope
    {
        return Scope::of('name');
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'name' => $this->name];
    }
}
