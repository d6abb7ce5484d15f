<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Revision;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Zone;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\ReadingOrder;
use UpperPane\Core\Plan\BenchView;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Surface\PlacedPanel;

/** What the bench is told: the zones that changed with their plans and findings, and the layout when it changed. */
final readonly class Answers
{
    public function __construct(private EntityManagerInterface $entities, private Planning $planning, private UndoStack $undo)
    {
    }

    /**
     * After a batch: only what differs between two states of the design.
     *
     * @param list<Revision> $between revisions of others that came in between
     *
     * @return array<string, mixed>
     */
    public function change(LoadedDesign $loaded, Design $before, Design $after, Person $person, array $between): array
    {
        [$sceneBefore, $sceneAfter] = [$before->restScene(), $after->restScene()];
        $sameTree = $sceneBefore->tree === $sceneAfter->tree;
        $glazing = $sameTree ? $after->sizing()->rects($sceneAfter->tree) : $after->sizing()->resolve($sceneAfter->tree);
        $glazingBefore = $sameTree ? $glazing : $before->sizing()->rects($sceneBefore->tree);
        $changed = PlanCompiler::changed($sceneBefore, $glazingBefore, $sceneAfter, $glazing);
        $surface = $this->planning->under($loaded->row->surface, $after);
        $context = $this->planning->context($loaded->row->surface, $after)->on($surface);
        $zones = PlanCompiler::zones($sceneAfter, $glazing, $context, $changed);

        return $this->head($loaded, $after, $person) + [
            'between' => array_map(self::revision(...), $between),
            'order' => $sameTree ? null : ReadingOrder::of($glazing->panes),
            'bench' => $sameTree ? null : BenchView::of($after, $sceneAfter, $glazing, $surface),
        ] + self::zones($zones);
    }

    /**
     * Everything, for opening a design or catching up.
     *
     * @return array<string, mixed>
     */
    public function whole(LoadedDesign $loaded, Person $person): array
    {
        $design = $loaded->document;
        $scene = $design->restScene();
        $surface = $this->planning->under($loaded->row->surface, $design);
        $glazing = $design->sizing()->resolve($scene->tree);
        $zones = PlanCompiler::zones($scene, $glazing, $this->planning->context($loaded->row->surface, $design)->on($surface), null);

        return $this->head($loaded, $design, $person) + [
            'between' => [],
            'order' => ReadingOrder::of($glazing->panes),
            'bench' => BenchView::of($design, $scene, $glazing, $surface),
            'panels' => array_map(self::panel(...), $surface->panels ?? []),
            'seams' => array_map(static fn (Rect $seam) => $seam->toArray(), $surface->seams ?? []),
        ] + self::zones($zones);
    }

    /**
     * @param list<ZonePlan> $plans
     *
     * @return array{zones: object, documents: object, findings: object} by zone id
     */
    private static function zones(array $plans): array
    {
        $zones = $documents = $findings = [];
        $preflight = Preflight::standard();
        foreach ($plans as $plan) {
            $zones[$plan->zone->id] = $plan->toArray();
            $documents[$plan->zone->id] = $plan->zone->toArray();
            $findings[$plan->zone->id] = array_map(static fn (Finding $finding) => $finding->toArray(), $preflight->check([$plan]));
        }

        return ['zones' => (object) $zones, 'documents' => (object) $documents, 'findings' => (object) $findings];
    }

    /** @return array<string, mixed> */
    private static function panel(PlacedPanel $panel): array
    {
        return $panel->toArray() + ['letter' => $panel->letter()];
    }

    /** @return array<string, mixed> */
    private function head(LoadedDesign $loaded, Design $design, Person $person): array
    {
        return [
            'design' => $loaded->row->id,
            'name' => $design->name,
            'revision' => $loaded->row->revision,
            'canvas' => $design->canvas->toArray(),
            'scene' => $design->restScene()->id,
            'now_ms' => $this->planning->nowMs(),
            'undo' => $this->undo->describe($loaded->row, $person),
        ];
    }

    /** @return array{number: int, author: string, label: string, at: string} */
    public static function revision(Revision $revision): array
    {
        return [
            'number' => $revision->number, 'author' => $revision->author->name,
            'label' => $revision->label, 'at' => $revision->at->format(\DATE_ATOM),
        ];
    }

    /**
     * The zones a batch touches, as others left them and as the batch would make them.
     *
     * @param list<string> $touched
     *
     * @return list<array<string, mixed>>
     */
    public static function versions(Design $theirs, ?Design $mine, array $touched): array
    {
        $versions = [];
        foreach ($theirs->restScene()->zones + ($mine?->restScene()->zones ?? []) as $id => $zone) {
            if (array_filter($touched, static fn (string $name) => preg_match('/^(zone|fill|part):'.preg_quote((string) $id, '/').'(\/|$)/', $name) === 1) !== []) {
                $versions[] = [
                    'zone' => (string) $id, 'letter' => $zone->letter,
                    'theirs' => self::side($theirs, (string) $id), 'yours' => $mine === null ? null : self::side($mine, (string) $id),
                ];
            }
        }

        return $versions;
    }

    /** @return array<string, mixed>|null */
    private static function side(Design $design, string $id): ?array
    {
        $zone = $design->restScene()->zones[$id] ?? null;

        return $zone instanceof Zone ? $zone->toArray() + ['rect' => $design->sizing()->resolve($design->restScene()->tree)->panes[$id]->toArray()] : null;
    }

    /** @return list<Revision> those after a number, oldest first */
    public function since(LoadedDesign $loaded, int $number): array
    {
        /** @var list<Revision> */
        return $this->entities->createQuery('SELECT r, a FROM '.Revision::class.' r JOIN r.author a WHERE r.design = :design AND r.number > :number ORDER BY r.number')
            ->setParameters(['design' => $loaded->row, 'number' => $number])->getResult();
    }
}
