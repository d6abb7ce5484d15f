<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\References;
use UpperPane\App\UseCase\Document\Desk;
use UpperPane\App\UseCase\Document\Undoable;
use UpperPane\App\UseCase\Document\View;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Core\Site\Right;

/**
 * Designs: where their media are used is kept in step, and the bench is told what it draws.
 *
 * @implements Desk<Design>
 */
final readonly class DesignDesk implements Desk
{
    public function __construct(
        private Planning $planning,
        private References $references,
        private Undoable $undoable,
    ) {
    }

    public function kind(): string
    {
        return DesignKind::NAME;
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
        $old = self::design($before);
        [$gone, $come] = [MediaUse::lost($old, $after), MediaUse::lost($after, $old)];
        foreach ($come as $media) {
            $this->references->add($before->id, $media);
        }
        foreach (array_filter($gone, static fn (string $media) => !MediaUse::mentions($after, $media)) as $media) {
            $this->references->remove($before->id, $media);
        }
    }

    public function whole(LoadedDocument $head, Person $person, View $view): array
    {
        $this->planning->expect(self::design($head), null);
        $surface = $this->planning->surface($head);

        return $this->answer($head, $view)->whole() + [
            'undo' => $this->undoable->describe($head, $person),
            'surface' => [
                'code' => $surface->code,
                'name' => $surface->name,
                'site' => $surface->site->slug,
                'site_name' => $surface->site->name,
                'zone' => $surface->site->timeZone,
            ],
        ];
    }

    public function changed(LoadedDocument $head, Document $seen, Person $person, View $view): array
    {
        $at = BenchAnswer::look(self::design($head), $view);
        $seenAt = BenchAnswer::look($seen, $view);
        if (
            $at->scene->id !== $seenAt->scene->id
            || $at->turned !== $seenAt->turned
            || ($view->scene !== '' && $at->scene->id !== $view->scene)
        ) {
            return $this->whole($head, $person, new View($at->scene->id, $at->turned));
        }

        return $this->answer($head, $view)->since($seen, $seenAt) + [
            'undo' => $this->undoable->describe($head, $person),
        ];
    }

    private function answer(LoadedDocument $head, View $view): BenchAnswer
    {
        $surface = $this->planning->surface($head);

        return new BenchAnswer(
            $head,
            self::design($head),
            BenchAnswer::look(self::design($head), $view),
            $this->planning->sheet($surface),
            $this->planning->context($surface),
        );
    }

    private static function design(LoadedDocument $loaded): Design
    {
        return $loaded->document instanceof Design
            ? $loaded->document
            : throw new \LogicException("{$loaded->id} is no design.");
    }
}
