<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Style;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\FontShelf;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\References;
use UpperPane\App\UseCase\Document\Depends;
use UpperPane\App\UseCase\Document\Desk;
use UpperPane\App\UseCase\Document\Undoable;
use UpperPane\App\UseCase\Document\View;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Site\Right;
use UpperPane\Core\Style\ContrastMatrix;
use UpperPane\Core\Style\HouseStyle;
use UpperPane\Core\Style\StyleKind;

/**
 * House styles. A face that nobody has is refused here, where the faces are known.
 *
 * @implements Desk<HouseStyle>
 */
final readonly class StyleDesk implements Desk
{
    public function __construct(private Undoable $undoable, private FontShelf $fonts, private References $references)
    {
    }

    public static function kind(): string
    {
        return StyleKind::NAME;
    }

    public function right(): Right
    {
        return Right::Design;
    }

    public function name(Document $document): string
    {
        return $document->name;
    }

    public function follow(LoadedDocument $before, Document $after, bool $sure): void
    {
        $was = $before->document instanceof HouseStyle ? $before->document->mark?->media : null;
        $is = $after->mark?->media;
        if ($was !== $is) {
            $was === null || $this->references->remove($before->id, References::MEDIA, $was);
            $is === null || $this->references->add($before->id, References::MEDIA, $is);
        }
        $fonts = $this->fonts->of($before->siteId);
        foreach ($after->types as $step) {
            $fonts->face($step->font, $step->weight);
        }
    }

    public function uses(LoadedDocument $head): array
    {
        return array_column($this->references->usersOf($head->id), 'name');
    }

    public function dependsOn(LoadedDocument $head): Depends
    {
        return Depends::onNothing();
    }

    public function whole(LoadedDocument $head, Person $person, View $view): array
    {
        $style = $head->document instanceof HouseStyle
            ? $head->document
            : throw new \LogicException("{$head->id} is no house style.");

        return [
            'revision' => $head->revision,
            'whole' => true,
            'undo' => $this->undoable->describe($head, $person),
            'contrast' => (object) array_map(static fn (array $row) => (object) $row, ContrastMatrix::of($style)),
        ] + $style->toArray();
    }

    public function changed(LoadedDocument $head, Document $seen, Person $person, View $view): array
    {
        return $this->whole($head, $person, $view);
    }
}
