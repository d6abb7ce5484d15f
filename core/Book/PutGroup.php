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
 * `group.put`: a group by this name, new (at the end, or before another one) or called otherwise. Refuses
 * `group.too_many`.
 *
 * @implements Command<Book>
 */
final readonly class PutGroup implements Command
{
    public const NAME = 'group.put';

    public function __construct(private string $group, private string $name, private ?string $before = null)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'group', 'name', 'before']);

        return new self(Book::id($input, 'group'), Book::name($input), $input->optional('before')?->asId());
    }

    public function apply(Document $document): Change
    {
        $old = $document->groups[$this->group] ?? null;
        if ($old === null && count($document->groups) >= Book::MOST_GROUPS) {
            throw Refusal::because('group.too_many', '/group', ['most' => Book::MOST_GROUPS]);
        }

        return new Change(
            $document->with($this->group, $this->name, $this->before),
            [$old === null ? new RemoveGroup($this->group) : new self($this->group, $old)],
            Scopes::of(),
            Scopes::of(Place::ofGroup($this->group), ...$old === null ? [Place::order()] : []),
            ['name' => $this->name],
        );
    }

    public function target(): ?Scope
    {
        return $this->before === null ? Place::ofGroup($this->group) : null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'group' => $this->group, 'name' => $this->name] +
            ($this->before === null ? [] : ['before' => $this->before]);
    }
}
