<?php

declare(strict_types=1);

namespace UpperPane\Core\Book;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;

/**
 * `group.remove`. Refuses `group.gone`; that a surface belongs to it only the desk knows.
 *
 * @implements Command<Book>
 */
final readonly class RemoveGroup implements Command
{
    public const NAME = 'group.remove';

    public function __construct(private string $group)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'group']);

        return new self(Book::id($input, 'group'));
    }

    public function apply(Document $document): Change
    {
        $name = $document->groups[$this->group] ?? throw Refusal::because('group.gone', '/group');

        return new Change(
            $document->without($this->group),
            [new PutGroup($this->group, $name, $document->behind($this->group))],
            Scopes::of(),
            Scopes::of(Place::ofGroup($this->group), Place::order()),
            ['name' => $name],
        );
    }

    public function target(): ?Scope
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'group' => $this->group];
    }
}
