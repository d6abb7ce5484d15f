<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use UpperPane\App\Entity\DocumentRow;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Release;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Players;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Document\Undoable;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Handoff\Newer;
use UpperPane\App\UseCase\Player\PlayerStates;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Output\WiringCheck;
use UpperPane\Core\Site\Right;
use UpperPane\Core\Site\SurfaceSheet;

/** A surface: its line on the Elevation, and the whole of it. */
final readonly class ShowSurface
{
    public function __construct(
        private Documents $documents,
        private Surfaces $surfaces,
        private Players $players,
        private PlayerStates $states,
        private Newer $newer,
        private Undoable $undoable,
        private Gate $gate,
    ) {
    }

    /** @return array<string, mixed> */
    public function byCode(string $code, Person $person): array
    {
        $row = $this->surfaces->byCode($code) ?? throw Absent::named('surface');
        $this->gate->demand($person, Right::See, $row);

        return $this->whole($row, $this->documents->load($row->document) ?? throw Absent::named('surface'), $person) + [
            'between' => [],
        ];
    }

    /** @return array<string, mixed> what the Elevation draws */
    public function line(SurfaceRow $row, int $revision, SurfaceSheet $sheet): array
    {
        $designs = $this->surfaces->designs($row);
        $order = $this->players->orderOf($row);

        return [
            'code' => $row->code,
            'things' => Gate::thing($row)->names,
            'document' => $row->document,
            'revision' => $revision,
            'designs' => array_map(
                static fn (DocumentRow $design) => [
                    'id' => $design->id,
                    'name' => $design->name,
                    'area' => $sheet->areaName($design->area) ?? $design->area,
                    'revision' => $design->revision,
                    'changed_at' => $design->changedAt->format(\DATE_ATOM),
                    'changed_by' => $design->changedBy?->name,
                ],
                $designs,
            ),
            'handed' => $order === null
                ? null
                : ['release' => $order->release->id, 'start_ms' => $order->showsSinceMs()],
            'draft' => $this->draft($row, $designs, $order?->release),
            'feeding' => array_map(
                fn (Player $player) => [
                    'code' => $player->code,
                    'outputs' => $sheet->players[$player->code] ?? 1,
                ] + $this->states->brief($player),
                $this->players->feeding($row),
            ),
            'area_rects' => (object) array_map(static fn (Rect $rect) => $rect->toArray(), $sheet->areas),
        ] +
            $sheet->fields() +
            Particulars::of($sheet->surface, $sheet->viewingMm()[1]);
    }

    /**
     * @return array<string, mixed> the line, and how it is fed, what uses it, who changed what, what undo would take
     */
    public function whole(SurfaceRow $row, LoadedDocument $head, Person $person): array
    {
        $sheet = $head->document instanceof SurfaceSheet ? $head->document : throw Absent::named('surface');
        $map = $sheet->outputMap();
        $findings = WiringCheck::of($map, $sheet->surface, $sheet->players);

        return [
            'wiring' => [
                'automatic' => $sheet->outputs === null,
                'outputs' => $map->toArray(),
                'next' => $sheet->nextOutput()?->toArray(),
                'findings' => array_map(static fn (Finding $finding) => $finding->toArray(), $findings),
            ],
            'undo' => $this->undoable->describe($head, $person),
            'next_player' => $this->players->freeCode($row->code),
        ] + $this->line($row, $head->revision, $sheet);
    }

    /** @return list<array{what: string, name: string}> what shows on it or is made for it, before it goes */
    public function uses(SurfaceRow $row): array
    {
        $isHanded = $this->players->orderOf($row) !== null;
        $players = array_filter(
            $this->players->feeding($row),
            fn (Player $player) => $isHanded || $this->players->isInUse($player),
        );

        return [
            ...array_map(
                static fn (DocumentRow $design) => ['what' => 'design', 'name' => $design->name],
                $this->surfaces->designs($row),
            ),
            ...array_map(
                static fn (Player $player) => ['what' => 'player', 'name' => $player->code],
                array_values($players),
            ),
        ];
    }

    /**
     * @param list<DocumentRow> $designs the latest changed first
     *
     * @return ?array{id: string, name: string, revision: int} a design with work in it that was changed after what is
     *     shown was released, or that is what is shown, and would be another now
     */
    private function draft(SurfaceRow $row, array $designs, ?Release $shown): ?array
    {
        foreach ($designs as $design) {
            $newer = match (true) {
                $design->revision === 0 => false,
                $shown === null => true,
                $shown->design->id === $design->id => $this->newer->than($shown, $design, $row),
                default => $design->changedAt > $shown->at,
            };
            if ($newer) {
                return ['id' => $design->id, 'name' => $design->name, 'revision' => $design->revision];
            }
        }

        return null;
    }
}
