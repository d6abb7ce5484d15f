<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\DocumentRow;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Players;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Document\Depends;
use UpperPane\App\UseCase\Document\Desk;
use UpperPane\App\UseCase\Document\View;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Site\Right;
use UpperPane\Core\Site\SurfaceKind;
use UpperPane\Core\Site\SurfaceSheet;

/**
 * Surfaces' sheets: their lines in lists and their players are kept in step; what is in use is asked about before it
 * goes.
 *
 * @implements Desk<SurfaceSheet>
 */
final readonly class SurfaceDesk implements Desk
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Surfaces $surfaces,
        private Players $players,
        private ShowSurface $show,
    ) {
    }

    public static function kind(): string
    {
        return SurfaceKind::NAME;
    }

    public function right(): Right
    {
        return Right::Mount;
    }

    public function name(Document $document): string
    {
        return $document->name();
    }

    public function follow(LoadedDocument $before, Document $after, bool $sure): void
    {
        $row = $this->row($before);
        $sheet = self::sheet($before);
        $this->keepAreas($row, $sheet, $after);
        if ($after->field('archived') === true && $sheet->field('archived') !== true && !$sure) {
            $uses = $this->show->uses($row);
            if ($uses !== []) {
                $named = static fn (string $what): array => array_column(
                    array_filter($uses, static fn (array $use) => $use['what'] === $what),
                    'name',
                );
                [$designs, $players] = [$named('design'), $named('player')];
                $how = $designs === [] ? 'players' : ($players === [] ? 'designs' : 'both');
                throw Conflict::because('surface.in_use', [
                    'name' => $row->name,
                    'how' => $how,
                    'designs' => $designs,
                    'players' => $players,
                ]);
            }
        }
        $this->followPlayers($row, $sheet, $after);
        $row->follow($after);
        $this->entities->flush();
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
        return $this->show->whole($this->row($head), $head, $person);
    }

    public function changed(LoadedDocument $head, Document $seen, Person $person, View $view): array
    {
        return $this->whole($head, $person, $view);
    }

    /** @throws Refusal `area.in_use` when an area goes that designs are made for */
    private function keepAreas(SurfaceRow $row, SurfaceSheet $before, SurfaceSheet $after): void
    {
        foreach (array_keys(array_diff_key($before->areas, $after->areas)) as $area) {
            $designs = array_filter(
                $this->surfaces->designs($row),
                static fn (DocumentRow $design) => $design->area === (string) $area,
            );
            if ($designs !== []) {
                throw Refusal::because('area.in_use', '/commands/0/value', [
                    'area' => $before->areaName((string) $area),
                    'designs' => array_values(array_map(static fn (DocumentRow $design) => $design->name, $designs)),
                ]);
            }
        }
    }

    /**
     * @throws Refusal `player.in_use` for one that plays something; `player.there` for a code that is taken elsewhere
     */
    private function followPlayers(SurfaceRow $row, SurfaceSheet $before, SurfaceSheet $after): void
    {
        foreach (array_keys(array_diff_key($before->players, $after->players)) as $code) {
            $player = $this->players->byCode((string) $code);
            if ($player !== null && $this->players->isInUse($player)) {
                throw Refusal::because('player.in_use', '/commands/0/player', ['player' => (string) $code]);
            }
            $player === null || $this->entities->remove($player);
        }
        foreach (array_keys(array_diff_key($after->players, $before->players)) as $code) {
            if ($this->players->byCode((string) $code) !== null) {
                throw Refusal::because('player.there', '/commands/0/player', ['player' => (string) $code]);
            }
            $this->entities->persist(new Player($row, (string) $code, $after->name()));
        }
    }

    private function row(LoadedDocument $loaded): SurfaceRow
    {
        return $this->surfaces->byDocument($loaded->id) ?? throw Absent::named('surface');
    }

    private static function sheet(LoadedDocument $loaded): SurfaceSheet
    {
        return $loaded->document instanceof SurfaceSheet
            ? $loaded->document
            : throw new \LogicException("{$loaded->id} is no surface's sheet.");
    }
}
