<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Notes;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Commands;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Kind;
use UpperPane\Core\Change\Scopes;

/** @implements Kind<Notes> */
final class NotesKind implements Kind
{
    public const NAME = 'notes';

    public function name(): string
    {
        return self::NAME;
    }

    public function upgraded(array $parts): array
    {
        return $parts;
    }

    public function stored(array $parts): Notes
    {
        return $this->read(Input::of((array) json_decode($parts['head'], true, 8, \JSON_THROW_ON_ERROR)));
    }

    public function read(Input $input): Notes
    {
        return new Notes(array_map(static fn (Input $text) => $text->asText(200), $input->child('notes')->members()));
    }

    public function commands(): Commands
    {
        return Commands::of([[SetNote::NAME, SetNote::class]]);
    }

    public function parts(Document $document, ?Document $before = null): array
    {
        return ['head' => json_encode($document->toArray(), \JSON_THROW_ON_ERROR)];
    }

    public function versions(Document $theirs, Document $mine, Scopes $touched): array
    {
        $lines = [];
        foreach ($touched->all() as $scope) {
            $note = $scope->path()[1] ?? '';
            $lines[] = [
                'what' => 'note',
                'note' => $note,
                'theirs' => $theirs->notes[$note] ?? null,
                'yours' => $mine->notes[$note] ?? null,
            ];
        }

        return $lines;
    }
}
