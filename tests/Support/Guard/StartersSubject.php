<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support\Guard;

use Random\Randomizer;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\Starters\OwnStarters;

/** @extends PlainSubject<OwnStarters> */
final class StartersSubject extends PlainSubject
{
    public function begun(): OwnStarters
    {
        return OwnStarters::none();
    }

    public function command(Document $document, Randomizer $random, string $new): array
    {
        $whole = $random->getInt(...);
        $part = static fn (int $pane): array => ['size' => $whole(1, 5).'fr', 'pane' => (string) $pane];
        $split = ['rows', 'columns'][$whole(0, 1)];
        $tree = ['split' => $split, 'gutter' => $whole(0, 9), 'parts' => [$part(1), $part(2)]];

        return [
            'do' => 'starter.put',
            'id' => 'own'.$whole(1, 5),
            'starter' => $whole(0, 3) === 0 ? null : ['name' => 'Kept '.$whole(1, 9), 'tree' => $tree],
        ];
    }
}
