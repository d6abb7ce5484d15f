<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Starters;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;

/**
 * `starter.put`: one starter, new or otherwise than it was; null takes it away. Refuses `starter.too_many`.
 *
 * @implements Command<OwnStarters>
 */
final readonly class PutStarter implements Command
{
    public const NAME = 'starter.put';

    public function __construct(private string $id, private ?OwnStarter $starter)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'id', 'starter']);
        $starter = $input->optional('starter');

        return new self($input->newId('id'), $starter === null ? null : OwnStarter::parse($starter));
    }

    public function apply(Document $document): Change
    {
        $old = $document->starters[$this->id] ?? null;
        if ($old === null && $this->starter !== null && count($document->starters) >= OwnStarters::MOST) {
            throw Refusal::because('starter.too_many', '/id', ['most' => OwnStarters::MOST]);
        }

        return new Change(
            $document->with($this->id, $this->starter),
            [new self($this->id, $old)],
            Scopes::of(),
            Scopes::of(Scope::of('starters', $this->id)),
            ['name' => ($this->starter ?? $old)->name ?? ''],
        );
    }

    public function target(): Scope
    {
        return Scope::of('starters', $this->id);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'id' => $this->id, 'starter' => $this->starter?->toArray()];
    }
}
