<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Starters;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Commands;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Kind;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Change\Stored;

/**
 * A site's own starters as one kind of document, all in one part.
 *
 * @implements Kind<OwnStarters>
 */
final class StartersKind implements Kind
{
    public const NAME = 'starters';
    private const HEAD = 'head';

    public function name(): string
    {
        return self::NAME;
    }

    public function upgraded(array $parts): array
    {
        return $parts;
    }

    public function stored(array $parts): OwnStarters
    {
        return Stored::read('', static function () use ($parts): OwnStarters {
            $head = json_decode($parts[self::HEAD] ?? '', false, 512, \JSON_THROW_ON_ERROR);

            return OwnStarters::parse(Input::json($head));
        });
    }

    public function read(Input $input): OwnStarters
    {
        return OwnStarters::parse($input);
    }

    public function commands(): Commands
    {
        return Commands::of([[PutStarter::NAME, PutStarter::class]]);
    }

    public function parts(Document $document, ?Document $before = null): array
    {
        return [
            self::HEAD => json_encode(
                $document->toArray(),
                \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
            ),
        ];
    }

    public function versions(Document $theirs, Document $mine, Scopes $touched): array
    {
        $lines = [];
        foreach ($touched->all() as $scope) {
            $id = [...$scope->path(), ''][1];
            $lines[] = [
                'what' => 'field',
                'field' => $id,
                'theirs' => ($theirs->starters[$id] ?? null)?->name,
                'yours' => ($mine->starters[$id] ?? null)?->name,
            ];
        }

        return $lines;
    }
}
