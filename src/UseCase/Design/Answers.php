<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Revision;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\SceneLayout;
use UpperPane\Core\Document\Zone;
use UpperPane\Core\Geometry\Ratio;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Layout\ReadingOrder;
use UpperPane\Core\Plan\BenchView;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Plan\ZonePlan;
use UpperPane\Core\Preflight\Preflight;

/** What the bench is told: the zones that changed with their plans and findings, and the layout when it changed. */
final readonly class Answers
{
    public function __construct(private EntityManagerInterface $entities, private Planning $planning, private UndoStack $undo)
    {
    }

    /**
     * After a batch: only what differs between two states of the design in one of its layouts; everything of its own layout when
     * that one came or went.
     *
     * @param list<Revision> $between revisions of others that came in between
     *
     * @return array<string, mixed>
     */
    public function change(LoadedDesign $loaded, Design $before, Design $after, Person $person, array $between, ?string $name): array
    {
        [$old, $new] = [self::layout($before, $name), self::layout($after, $name)];
        if ($old->name() !== $new->name() || ($name !== null && $new->name() !== $name)) {
            return ['between' => array_map(self::revision(...), $between)] + $this->whole($loaded, $after, $person, $new->name());
        }
        $sameTree = $old->tree === $new->tree;
        $glazing = $sameTree ? $new->sizing()->rects($new->tree) : $new->resolved();
        $glazingBefore = $sameTree ? $glazing : $old->sizing()->rects($old->tree);
        $changed = PlanCompiler::changed($old->scene, $glazingBefore, $new->scene, $glazing);
        $ground = $this->planning->under($loaded->row, $new);
        $zones = PlanCompiler::zones($new->scene, $glazing, $this->planning->context($loaded->row->surface, $after)->on($ground), $changed);

        return $this->head($loaded, $new, $person) + [
            'between' => array_map(self::revision(...), $between),
            'order' => $sameTree ? null : ReadingOrder::of($glazing->panes),
            'bench' => $sameTree ? null : BenchView::of($new, $glazing, $ground),
        ] + self::zones($zones);
    }

    /**
     * Everything of a layout, for opening a design or catching up; of its own one when it has no such layout.
     *
     * @return array<string, mixed>
     */
    public function whole(LoadedDesign $loaded, Design $design, Person $person, ?string $name): array
    {
        $layout = self::layout($design, $name);
        $ground = $this->planning->under($loaded->row, $layout);
        $glazing = $layout->resolved();
        $zones = PlanCompiler::zones($layout->scene, $glazing, $this->planning->context($loaded->row->surface, $design)->on($ground), null);

        return $this->head($loaded, $layout, $person) + [
            'whole' => true,
            'between' => [],
            'order' => ReadingOrder::of($glazing->panes),
            'bench' => BenchView::of($layout, $glazing, $ground),
            'ratio' => Ratio::of($layout->canvas())->toArray(),
            'panels' => (object) array_map(static fn (Rect $panel) => $panel->toArray(), $ground->panels ?? []),
            'ranks' => $ground->ranks ?? ['columns' => [], 'rows' => []],
            'safe' => $this->planning->safe($loaded->row, $layout)?->toArray(),
            'seams' => array_map(static fn (Rect $seam) => $seam->toArray(), $ground->seams ?? []),
        ] + self::zones($zones);
    }

    private static function layout(Design $design, ?string $name): SceneLayout
    {
        try {
            return SceneLayout::of($design, $name ?? $design->restScene()->id);
        } catch (Refusal) {
            return SceneLayout::of($design, $design->restScene()->id);
        }
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
    private function head(LoadedDesign $loaded, SceneLayout $layout, Person $person): array
    {
        $design = $layout->design;
        $other = $layout->scene->turned === null ? null : $design->canvas->turned(90)->toArray();

        return [
            'design' => $loaded->row->id,
            'name' => $design->name,
            'revision' => $loaded->row->revision,
            'canvas' => $layout->canvas()->toArray(),
            'scene' => $layout->scene->id,
            'reflow' => $design->reflow->value,
            'layout' => $layout->name(),
            'layouts' => ['own' => $design->canvas->toArray(), 'other' => $other],
            'missing' => array_map(static fn (Finding $finding) => $finding->toArray(), PlanCompiler::missing($layout)),
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

        return $zone instanceof Zone ? $zone->toArray() + ['rect' => ($design->sizing()->resolve($design->restScene()->tree)->panes[$id] ?? null)?->toArray()] : null;
    }

    /** @return list<Revision> those after a number, oldest first */
    public function since(LoadedDesign $loaded, int $number): array
    {
        /** @var list<Revision> */
        return $this->entities->createQuery('SELECT r, a FROM '.Revision::class.' r JOIN r.author a WHERE r.design = :design AND r.number > :number ORDER BY r.number')
            ->setParameters(['design' => $loaded->row, 'number' => $number])->getResult();
    }
}
