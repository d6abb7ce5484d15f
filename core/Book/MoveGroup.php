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
 * `group.move`: before another group, or to the end. Refuses `group.gone`.
 *
 * @implements Command<Book>
 */
final readonly class MoveGroup implements Command
{
    public const NAME = 'group.move';

    public function __construct(private string $group, private ?string $before)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'group', 'before']);

        return new self(Book::id($input, 'group'), $input->optional('before')?->asId());
    }

    public function apply(Document $document): Change
    {
        foreach (['group' => $this->group, 'before' => $this->before] as $key => $group) {
            if ($group !== null && !isset($document->groups[$group])) {
                throw Refusal::because('group.gone', "/$key");
            }
        }

        return new Change(
            $document->moved($this->group, $this->before),
            [new self($this->group, $document->behind($this->group))],
            Scopes::of(Place::ofGroup($this->group)),
            Scopes::of(Place::order()),
            ['name' => $document->groups[$this->group]],
        );
    }

    public function target(): ?Scope
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'group' => $this->group, 'before' => $this->before];
    }
}
