<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Notes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Command;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;

/**
 * `note.set`: what a note says; null takes it away.
 *
 * @implements Command<Notes>
 */
final readonly class SetNote implements Command
{
    public const NAME = 'note.set';

    public function __construct(private string $note, private ?string $text)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'note', 'text']);

        return new self($input->id('note'), $input->optional('text')?->asText(200));
    }

    public function apply(Document $document): Change
    {
        $after =
            $this->text === null
                ? array_diff_key($document->notes, [$this->note => 0])
                : array_replace($document->notes, [$this->note => $this->text]);

        return new Change(
            new Notes($after),
            [new self($this->note, $document->notes[$this->note] ?? null)],
            Scopes::of(),
            Scopes::of($this->target()),
        );
    }

    public function target(): Scope
    {
        return Scope::of('notes', $this->note);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'note' => $this->note, 'text' => $this->text];
    }
}
