<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;

/**
 * `style.colour`: one colour, new or otherwise than it was; null takes it away. Refuses `style.too_many`.
 *
 * @implements Command<HouseStyle>
 */
final readonly class PutColour implements Command
{
    public const NAME = 'style.colour';

    private function __construct(private string $id, private ?NamedColour $colour)
    {
    }

    /** @throws Refusal `input.id` for an id that no fill could name */
    public static function parse(Input $input): self
    {
        $input->keys(['do', 'id', 'colour']);
        $id = $input->newId('id');
        if (preg_match('/^[a-z0-9-]{1,40}$/D', $id) !== 1) {
            throw Refusal::because('input.id', $input->pathTo('id'), ['value' => $id]);
        }
        $colour = $input->optional('colour');

        return new self($id, $colour === null ? null : NamedColour::parse($colour));
    }

    public function apply(Document $document): Change
    {
        $old = $document->colours[$this->id] ?? null;
        if ($old === null && $this->colour !== null && count($document->colours) >= HouseStyle::MOST) {
            throw Refusal::because('style.too_many', '/id', ['most' => HouseStyle::MOST]);
        }

        return new Change(
            $document->withColour($this->id, $this->colour),
            [new self($this->id, $old)],
            Scopes::of(),
            Scopes::of($this->target()),
            ['name' => ($this->colour ?? $old)->name ?? ''],
        );
    }

    public function target(): Scope
    {
        return Scope::of('colours', $this->id);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'id' => $this->id, 'colour' => $this->colour?->toArray()];
    }
}
