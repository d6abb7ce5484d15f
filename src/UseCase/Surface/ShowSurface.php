<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\DesignRow;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\SurfaceChange;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\UseCase\Handoff\PlayerStates;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Output\WiringCheck;

/** A surface: its line on the Elevation, and the whole of it. */
final readonly class ShowSurface
{
    public function __construct(private EntityManagerInterface $entities, private Surfaces $surfaces, private PlayerStates $states, private UndoChange $undo)
    {
    }

    /** @return array<string, mixed> what the Elevation draws */
    public function line(SurfaceRow $row): array
    {
        $sheet = $row->sheet();
        $designs = $this->entities->getRepository(DesignRow::class)->findBy(['surface' => $row], ['changedAt' => 'DESC']);

        return [
            'code' => $row->code, 'revision' => $row->revision,
            'designs' => array_map(static fn (DesignRow $design) => [
                'id' => $design->id, 'name' => $design->name, 'area' => $design->area, 'revision' => $design->revision, 'canvas' => $design->head['canvas']['px'],
                'changed_at' => $design->changedAt->format(\DATE_ATOM), 'changed_by' => $design->changedBy?->name,
            ], $designs),
            'players' => array_map(fn (Player $player) => [
                'code' => $player->code, 'outputs' => $player->outputs, 'state' => $this->states->of($player)['state'],
            ], $this->surfaces->players($row)),
            'area_rects' => (object) array_map(static fn (Rect $rect) => $rect->toArray(), $sheet->areas),
        ] + $sheet->toArray() + Particulars::of($sheet->surface, $sheet->viewingMm()[1]);
    }

    /** @return array<string, mixed> the line, and how it is fed, what uses it, who changed what, what undo would take */
    public function whole(string $code, Person $person): array
    {
        $row = $this->surfaces->row($code);
        $sheet = $row->sheet();
        $map = $this->surfaces->outputs($row, $sheet);
        $findings = WiringCheck::of($map, $sheet->surface, $this->surfaces->outputCounts($row));
        $changes = $this->entities->getRepository(SurfaceChange::class)->findBy(['surface' => $row], ['number' => 'DESC'], 20);
        $fields = static fn (?SurfaceChange $change) => $change === null ? null : array_keys($change->after);

        return [
            'wiring' => ['automatic' => $sheet->outputs === null, 'outputs' => $map->toArray(), 'findings' => array_map(static fn (Finding $finding) => $finding->toArray(), $findings)],
            'uses' => $this->surfaces->uses($row),
            'changes' => array_map(static fn (SurfaceChange $change) => [
                'number' => $change->number, 'author' => $change->author->name, 'at' => $change->at->format(\DATE_ATOM), 'kind' => $change->kind,
                'fields' => array_keys($change->after), 'undone' => $change->undone,
            ], $changes),
            'undo' => ['undo' => $fields($this->undo->next($row, $person, false)), 'redo' => $fields($this->undo->next($row, $person, true))],
        ] + $this->line($row);
    }
}
