<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Uid\Uuid;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Site;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Sites;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Site\Right;
use UpperPane\Core\Site\SlipGuard;
use UpperPane\Core\Site\SurfaceKind;
use UpperPane\Core\Site\SurfaceSheet;

/**
 * A new surface, with a player that has an output for each of its panels. What looks like a slip is asked about first.
 */
final readonly class MakeSurface
{
    /** What stands beside another on the drawing is this far from it. */
    private const ASIDE_MM = 600;

    public function __construct(
        private EntityManagerInterface $entities,
        private Documents $documents,
        private Surfaces $surfaces,
        private Sites $sites,
        private Planning $planning,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /**
     * @return array{surface: string, repeated: bool}
     *
     * @throws Conflict `surface.asked` with the questions; sent again with `sure` it is taken
     */
    public function __invoke(string $siteSlug, Input $input, Person $person): array
    {
        $input->keys(['made_as', 'portrait', 'sure', 'outputs', ...SurfaceSheet::FIELDS]);
        $madeAs = $input->uuid('made_as');
        $site = $this->gate->site($siteSlug, $person, Right::Mount);
        /** @var array<string, mixed> $raw */
        $raw = $input->raw();
        $fields = array_diff_key($raw, ['made_as' => 0, 'portrait' => 0, 'sure' => 0]);
        $portrait = $input->has('portrait') ? $input->bool('portrait') : null;
        $sure = $input->has('sure') && $input->bool('sure');

        return $this->once($site, $madeAs, function () use (
            $site,
            $fields,
            $portrait,
            $sure,
            $madeAs,
            $person,
        ): string {
            $sheet = SurfaceSheet::fresh($fields + ['left_mm' => $this->freePlace($site)]);
            $sure || $this->ask($site, $sheet, $portrait);

            return $this->keep($site, $sheet, $madeAs, $person);
        });
    }

    /** @return array{surface: string, repeated: bool} a copy that stands beside the last surface, without its wiring */
    public function duplicate(string $code, Input $input, Person $person): array
    {
        $input->keys(['made_as', 'name']);
        $row = $this->surfaces->byCode($code) ?? throw Absent::named('surface');
        $this->gate->demand($person, Right::Mount, $row->site);
        [$name, $madeAs] = [$input->name('name', 120, 1), $input->uuid('made_as')];

        return $this->once($row->site, $madeAs, function () use ($row, $name, $madeAs, $person): string {
            $set = [
                'name' => $name,
                'left_mm' => $this->freePlace($row->site),
                'outputs' => null,
                'archived' => false,
                'players' => [],
            ];

            return $this->keep($row->site, $this->planning->sheet($row)->with($set), $madeAs, $person);
        });
    }

    /**
     * One surface at a time is made at a site, so that a request sent twice finds the first, and no two take one code
     * or place.
     *
     * @param \Closure(): string $make
     *
     * @return array{surface: string, repeated: bool}
     */
    private function once(Site $site, string $madeAs, \Closure $make): array
    {
        return $this->entities->wrapInTransaction(function () use ($site, $madeAs, $make): array {
            $this->sites->lock($site);
            $known = $this->surfaces->madeAs($madeAs);

            return $known === null
                ? ['surface' => $make(), 'repeated' => false]
                : ['surface' => $known->code, 'repeated' => true];
        });
    }

    /** @return string its code */
    private function keep(Site $site, SurfaceSheet $sheet, string $madeAs, Person $person): string
    {
        $code = $this->surfaces->freeCode($sheet->name());
        $document = Uuid::v7()->toRfc4122();
        $sheet = $sheet->with([
            'players' => ["$code-1" => min(SurfaceSheet::MOST_OUTPUTS, count($sheet->surface->panels))],
        ]);
        $this->documents->add(
            new LoadedDocument($document, SurfaceKind::NAME, $site->id, null, null, 0, $sheet),
            $sheet->name(),
            $person,
        );
        $row = new SurfaceRow($site, $code, $document, $sheet, $madeAs);
        $this->entities->persist($row);
        $this->entities->persist(new Player($row, "$code-1", $row->name));
        $this->entities->flush();
        $this->recorder->record($person, 'surface.make', $code, ['name' => $row->name]);

        return $code;
    }

    private function ask(Site $site, SurfaceSheet $sheet, ?bool $portrait): void
    {
        $others = array_filter(
            $this->surfaces->of($site),
            static fn (SurfaceRow $row) => !$row->archived && $row->kind === $sheet->field('kind'),
        );
        $canvases = array_values(
            array_map(static fn (SurfaceRow $row) => Size::of($row->canvasWidth, $row->canvasHeight), $others),
        );
        $questions = SlipGuard::questions(
            $sheet->surface->canvas,
            $portrait,
            (string) $sheet->field('kind'),
            $canvases,
        );
        if ($questions !== []) {
            throw Conflict::because(
                'surface.asked',
                [],
                ['questions' => array_map(static fn (Finding $finding) => $finding->toArray(), $questions)],
            );
        }
    }

    private function freePlace(Site $site): int
    {
        $right = 0;
        foreach (array_filter($this->surfaces->of($site), static fn (SurfaceRow $row) => !$row->archived) as $row) {
            $right = max(
                $right,
                $row->leftMm + intdiv($this->planning->sheet($row)->surface->faceUm()[0], 1000) + self::ASIDE_MM,
            );
        }

        return $right;
    }
}
