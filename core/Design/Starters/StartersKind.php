<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Starters;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Commands;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\OnePart;
use UpperPane\Core\Change\Scopes;

/**
 * A site's own starters as one kind of document, all in one part.
 *
 * @extends OnePart<OwnStarters>
 */
final class StartersKind extends OnePart
{
    public const NAME = 'starters';

    public function name(): string
    {
        return self::NAME;
    }

    public function read(Input $input): OwnStarters
    {
        return OwnStarters::parse($input);
    }

    public function commands(): Commands
    {
        return Commands::of([[PutStarter::NAME, PutStarter::class]]);
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
