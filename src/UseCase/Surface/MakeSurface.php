<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Site;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Site\SlipGuard;
use UpperPane\Core\Site\SurfaceSheet;

/** A new surface, with a player that has an output for each of its panels. What looks like a slip is asked about first. */
final readonly class MakeSurface
{
    /** What stands beside another on the drawing is this far from it. */
    private const ASIDE_MM = 600;

    public function __construct(private EntityManagerInterface $entities, private Surfaces $surfaces, private Recorder $recorder)
    {
    }

    /**
     * @return array{surface: string, repeated: bool}
     *
     * @throws Conflict `surface.asked` with the questions; sent again with `sure` it is taken
     */
    public function __invoke(string $siteSlug, Input $input, Person $person): array
    {
        $input->keys(['made_as', 'portrait', 'sure', ...SurfaceSheet::FIELDS]);
        $madeAs = $input->id('made_as');
        $site = $this->surfaces->site($siteSlug);
        /** @var array<string, mixed> $raw */
        $raw = $input->raw();
        $fields = array_diff_key($raw, ['made_as' => 0, 'portrait' => 0, 'sure' => 0]);
        $portrait = $input->has('portrait') ? $input->bool('portrait') : null;
        $sure = $input->has('sure') && $input->bool('sure');

        return $this->once($site, $madeAs, function () use ($site, $fields, $portrait, $sure, $madeAs, $person): string {
            $sheet = SurfaceSheet::fresh($fields + ['left_mm' => $this->freePlace($site)]);
            $sure || $this->ask($site, $sheet, $portrait);

            return $this->keep($site, $sheet, $madeAs, $person);
        });
    }

    /** @return array{surface: string, repeated: bool} a copy that stands beside the last surface, without its wiring */
    public function duplicate(string $code, Input $input, Person $person): array
    {
        $input->keys(['made_as', 'name']);
        $row = $this->surfaces->row($code);
        [$name, $madeAs] = [$input->text('name', 120, 1), $input->id('made_as')];

        return $this->once($row->site, $madeAs, function () use ($row, $name, $madeAs, $person): string {
            $sheet = $row->sheet()->with(['name' => $name, 'left_mm' => $this->freePlace($row->site), 'outputs' => null, 'archived' => false]);

            return $this->keep($row->site, $sheet, $madeAs, $person);
        });
    }

    /**
     * One surface at a time is made at a site, so that a request sent twice finds the first, and no two take one code or place.
     *
     * @param \Closure(): string $make
     *
     * @return array{surface: string, repeated: bool}
     */
    private function once(Site $site, string $madeAs, \Closure $make): array
    {
        return $this->entities->wrapInTransaction(function () use ($site, $madeAs, $make): array {
            $this->entities->refresh($site, LockMode::PESSIMISTIC_WRITE);
            $known = $this->entities->getRepository(SurfaceRow::class)->findOneBy(['madeAs' => $madeAs]);

            return $known === null ? ['surface' => $make(), 'repeated' => false] : ['surface' => $known->code, 'repeated' => true];
        });
    }

    /** @return string its code */
    private function keep(Site $site, SurfaceSheet $sheet, string $madeAs, Person $person): string
    {
        $code = $this->surfaces->freeCode((string) $sheet->field('name'));
        $row = new SurfaceRow($site, $code, $sheet, $madeAs);
        $player = new Player($row, "$code-1", $row->name);
        $player->outputs = min(64, count($sheet->surface->panels));
        $this->entities->persist($row);
        $this->entities->persist($player);
        $this->entities->flush();
        $this->recorder->record($person, 'surface.make', $code, ['name' => $row->name]);

        return $code;
    }

    private function ask(Site $site, SurfaceSheet $sheet, ?bool $portrait): void
    {
        $others = $this->entities->getRepository(SurfaceRow::class)->findBy(['site' => $site, 'kind' => $sheet->field('kind'), 'archived' => false]);
        $canvases = array_map(static fn (SurfaceRow $row) => Size::of($row->canvasWidth, $row->canvasHeight), $others);
        $questions = SlipGuard::questions($sheet->surface->canvas, $portrait, (string) $sheet->field('kind'), $canvases);
        if ($questions !== []) {
            throw Conflict::because('surface.asked', [], ['questions' => array_map(static fn (Finding $finding) => $finding->toArray(), $questions)]);
        }
    }

    private function freePlace(Site $site): int
    {
        $right = 0;
        foreach ($this->entities->getRepository(SurfaceRow::class)->findBy(['site' => $site, 'archived' => false]) as $row) {
            $right = max($right, $row->leftMm + intdiv($row->sheet()->surface->faceUm()[0], 1000) + self::ASIDE_MM);
        }

        return $right;
    }
}
