<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Entity\Person;
use UpperPane\App\Job\Lane;
use UpperPane\App\Job\LookAtPage;
use UpperPane\App\Job\Queue;
use UpperPane\App\Repository\DesignLines;
use UpperPane\App\Repository\HouseStyles;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\OnesOfSites;
use UpperPane\App\Repository\Playlists;
use UpperPane\App\Repository\Programmes;
use UpperPane\App\Repository\References;
use UpperPane\App\Repository\Sites;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\Repository\WebPages;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Document\Depends;
use UpperPane\App\UseCase\Document\Desk;
use UpperPane\App\UseCase\Document\Undoable;
use UpperPane\App\UseCase\Document\View;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Core\Design\Lists;
use UpperPane\Core\Design\Starters\StartersKind;
use UpperPane\Core\Layout\Pane;
use UpperPane\Core\Site\Right;

/**
 * Designs: where their media are used is kept in step, pages they show are looked at, and the bench is told what it
 * draws.
 *
 * @implements Desk<Design>
 */
final readonly class DesignDesk implements Desk
{
    public function __construct(
        private Planning $planning,
        private References $references,
        private DesignLines $lines,
        private Surfaces $surfaces,
        private Sites $sites,
        private OnesOfSites $ones,
        private Undoable $undoable,
        private WebPages $pages,
        private HouseStyles $styles,
        private Playlists $playlists,
        private Programmes $programmes,
        private Queue $queue,
    ) {
    }

    public static function kind(): string
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
        [$gone, $added] = [MediaUse::lost($old, $after), MediaUse::lost($after, $old)];
        foreach ($added as $media) {
            $this->references->add($before->id, References::MEDIA, $media);
        }
        foreach (array_filter($gone, static fn (string $media) => !MediaUse::mentions($after, $media)) as $media) {
            $this->references->remove($before->id, References::MEDIA, $media);
        }
        foreach (MediaUse::addresses($old, $after) as $address) {
            if ($this->pages->want($address)) {
                $this->queue->add(LookAtPage::KIND, ['address' => $address], Lane::Long);
            }
        }
        $this->followLists($before, Lists::usedBy($old), Lists::usedBy($after));
        if ($after->style !== $old->style) {
            $this->followStyle($before, $old->style, $after->style);
        }
        if ($old === $after || $old->surfaces !== $after->surfaces || $old->archived !== $after->archived) {
            $site = $this->sites->byId($before->siteId) ?? throw Absent::named('site');
            $come = array_values(array_diff($after->surfaces, $old->surfaces));
            $this->surfaces->demand($site, $come, '/commands/0/surfaces');
            $this->lines->follow($before->id, $before->siteId, $after);
        }
    }

    /** The style is held while the design says that it uses it: nobody removes it in between. */
    private function followStyle(LoadedDocument $design, ?string $old, ?string $new): void
    {
        if ($new !== null) {
            $this->styles->find($design->siteId, $new, true)
                ?? throw Refusal::because('style.gone', '/commands/0/style');
            $this->references->add($design->id, References::DOCUMENT, $new);
        }
        $old === null || $this->references->remove($design->id, References::DOCUMENT, $old);
    }

    /**
     * Held as the style is.
     *
     * @param list<string> $old
     * @param list<string> $new
     */
    private function followLists(LoadedDocument $design, array $old, array $new): void
    {
        $come = array_values(array_diff($new, $old));
        if (count($this->playlists->find($design->siteId, $come, true)) < count($come)) {
            throw Refusal::because('playlist.unknown', '/commands/0/fill/of');
        }
        foreach ($come as $list) {
            $this->references->add($design->id, References::DOCUMENT, $list);
        }
        foreach (array_diff($old, $new) as $list) {
            $this->references->remove($design->id, References::DOCUMENT, $list);
        }
    }

    /** What refers to it, and the surfaces that show a release of it. */
    public function uses(LoadedDocument $head): array
    {
        return array_values(array_unique([
            ...array_column($this->references->usersOf($head->id), 'name'),
            ...$this->programmes->surfacesShowing($head->id),
        ]));
    }

    public function dependsOn(LoadedDocument $head): Depends
    {
        $surface = $this->planning->surface($head);
        $used = array_values(array_filter([
            self::design($head)->style,
            $surface?->document,
            ...Lists::usedBy(self::design($head)),
        ]));

        return new Depends(
            $this->references->versions($used),
            fn () => $this->references->mediaOf($head->id),
        );
    }

    public function whole(LoadedDocument $head, Person $person, View $view): array
    {
        $stand = $this->planning->stand($head);
        $this->planning->expect($this->planning->filled(self::design($head), $head->siteId), $stand->site, null);

        return $this->answer($head, $view)->whole() + [
            'undo' => $this->undoable->describe($head, $person),
            'surface' => [
                'code' => $stand->surface?->code,
                'name' => $stand->surface?->name,
                'site' => $stand->site->slug,
                'site_name' => $stand->site->name,
                'zone' => $stand->site->timeZone,
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
            || [self::design($head)->style, self::design($head)->still] !== [$seen->style, $seen->still]
            || ($view->scene !== '' && $at->scene->id !== $view->scene)
            // Where it is made is the first surface it is meant for: that may be another now.
            || ($head->surfaceId === null && self::design($head)->surfaces !== $seen->surfaces)
        ) {
            return $this->whole($head, $person, new View($at->scene->id, $at->turned));
        }

        return $this->answer($head, $view)->since($this->planning->filled($seen, $head->siteId), $seenAt) + [
            'undo' => $this->undoable->describe($head, $person),
        ];
    }

    private function answer(LoadedDocument $head, View $view): BenchAnswer
    {
        $stand = $this->planning->stand($head);
        $design = $this->planning->filled(self::design($head), $head->siteId);
        $at = BenchAnswer::look($design, $view);

        return new BenchAnswer(
            $head,
            $design,
            $at,
            $stand->sheet,
            $this->planning->context($stand->site, $design),
            // They are shown only where a layout is begun.
            $at->tree() instanceof Pane ? $this->ones->of(StartersKind::NAME, $head->siteId) : null,
            Gate::thing($stand->surface ?? $stand->site)->document($head->id)->names,
        );
    }

    private static function design(LoadedDocument $loaded): Design
    {
        return $loaded->document instanceof Design
            ? $loaded->document
            : throw new \LogicException("{$loaded->id} is no design.");
    }
}
