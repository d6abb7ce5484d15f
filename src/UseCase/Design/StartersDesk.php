<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\UseCase\Document\Depends;
use UpperPane\App\UseCase\Document\Desk;
use UpperPane\App\UseCase\Document\Undoable;
use UpperPane\App\UseCase\Document\View;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\Starters\OwnStarters;
use UpperPane\Core\Design\Starters\StartersKind;
use UpperPane\Core\Site\Right;

/**
 * A site's own starters.
 *
 * @implements Desk<OwnStarters>
 */
final readonly class StartersDesk implements Desk
{
    public function __construct(private Undoable $undoable)
    {
    }

    public static function kind(): string
    {
        return StartersKind::NAME;
    }

    public function right(): Right
    {
        return Right::Design;
    }

    public function name(Document $document): string
    {
        return 'Starters';
    }

    public function follow(LoadedDocument $before, Document $after, bool $sure): void
    {
    }

    public function uses(LoadedDocument $head): ?array
    {
        return null;
    }

    public function dependsOn(LoadedDocument $head): Depends
    {
        return Depends::onNothing();
    }

    public function whole(LoadedDocument $head, Person $person, View $view): array
    {
        return [
            'revision' => $head->revision,
            'whole' => true,
            'undo' => $this->undoable->describe($head, $person),
        ] + $head->document->toArray();
    }

    public function changed(LoadedDocument $head, Document $seen, Person $person, View $view): array
    {
        return $this->whole($head, $person, $view);
    }
}
