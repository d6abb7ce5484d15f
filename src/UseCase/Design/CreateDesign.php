<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\DesignLines;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\References;
use UpperPane\App\Repository\Sites;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Document\Desks;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Design\Lists;
use UpperPane\Core\Exchange\SmilDesign;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Site\NamedId;
use UpperPane\Core\Site\Right;

/**
 * A new design: for a surface, or a named area of it, and for further surfaces at once; for a size that no surface has
 * yet; or as another one is. The id comes from the client, so that a repeated request makes no second one.
 */
final readonly class CreateDesign
{
    private const LONGEST_SMIL = 900_000;
    /** Pitch of a typed size, in nm. */
    private const FINEST_NM = 10_000;
    private const COARSEST_NM = 100_000_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Documents $documents,
        private DesignLines $lines,
        private References $references,
        private Surfaces $surfaces,
        private Sites $sites,
        private Planning $planning,
        private Desks $desks,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /** @return array{design: string} one scene, one empty pane */
    public function onSurface(string $surfaceCode, Input $input, Person $person): array
    {
        $input->keys(['design', 'name', 'area', 'scene', 'surfaces']);
        $row = $this->surfaces->byCode($surfaceCode) ?? throw Absent::named('surface');
        $this->gate->demand($person, Right::Design, $row);
        $area = $input->optional('area') === null ? null : NamedId::Area->of($input->text('area', 60, 1));
        $sheet = $this->planning->sheet($row);
        $size = ($area === null
            ? $sheet->surface->canvas->rect()
            : $sheet->areas[$area] ?? throw Refusal::because('area.unknown', '/area', ['area' => $area])
        )->size();
        $um = [$sheet->surface->widthUm($size->width), $sheet->surface->heightUm($size->height)];
        $design = self::fresh($input, $size, $um)->with([
            'surfaces' => array_values(array_diff($this->others($input, $row->site), [$row->code])),
        ]);

        return $this->keep($input, $row->site, $row, $area, $design, $person);
    }

    /**
     * @return array{design: string} for `canvas`: `px` and `pitch_mm`
     */
    public function forSize(string $site, Input $input, Person $person): array
    {
        $input->keys(['design', 'name', 'scene', 'canvas', 'surfaces']);
        $there = $this->gate->site($site, $person, Right::Design);
        $design = $this->sized($input)->with(['surfaces' => $this->others($input, $there)]);

        return $this->keep($input, $there, null, null, $design, $person);
    }

    /**
     * @return array{design: string} a playlist of the Stock: `list` fills its `canvas`; empty where none is given
     */
    public function playlist(string $site, Input $input, Person $person): array
    {
        $input->keys(['design', 'name', 'canvas', 'list']);
        $there = $this->gate->site($site, $person, Right::Design);
        $fill = $input->optional('list') === null ? null : FillReader::read($input->child('list'));
        $list = match (true) {
            $fill === null => PlaylistFill::parse(Input::of(['kind' => 'playlist', 'entries' => []])),
            $fill instanceof PlaylistFill => $fill,
            default => throw Refusal::because('playlist.layout', '/list'),
        };
        $design = $this->sized($input)->asList($list);

        return $this->keep($input, $there, null, null, $design, $person);
    }

    /**
     * @return array{design: string, report: list<array<string, string>>} from a SMIL document's layout, with what could
     *     not be taken over
     */
    public function fromSmil(string $site, Input $input, Person $person): array
    {
        $input->keys(['design', 'name', 'scene', 'pitch_mm', 'smil']);
        $there = $this->gate->site($site, $person, Right::Design);
        try {
            [$design, $report] = SmilDesign::of(
                $input->text('smil', self::LONGEST_SMIL, 1),
                self::name($input),
                $input->child('pitch_mm')->asMillionths(self::FINEST_NM, self::COARSEST_NM),
                'z-'.substr(self::id($input), 0, 8),
                $input->optional('scene')?->asText(80, 1) ?? 'Rest',
            );
        } catch (Refusal $refusal) {
            throw str_starts_with($refusal->refusalCode, 'smil.') ? $refusal->at('/smil') : $refusal;
        }

        return $this->keep($input, $there, null, null, $design, $person) + ['report' => $report];
    }

    /** @return array{design: string} everything as it is there now, under another name */
    public function duplicate(string $id, Input $input, Person $person): array
    {
        $input->keys(['design', 'name']);
        [$loaded] = $this->desks->open($id, $person);
        $site = $this->sites->byId($loaded->siteId) ?? throw Absent::named('site');
        $this->gate->demand($person, Right::Design, $site);
        $row = $loaded->surfaceId === null ? null : $this->surfaces->byId($loaded->surfaceId);
        $design = Planning::design($loaded)->with(['name' => self::name($input), 'archived' => false]);

        return $this->keep($input, $site, $row, $loaded->area, $design, $person);
    }

    /** @return array{design: string} */
    private function keep(
        Input $input,
        Site $site,
        ?SurfaceRow $row,
        ?string $area,
        Design $design,
        Person $person,
    ): array {
        $id = self::id($input);
        $new = new LoadedDocument($id, DesignKind::NAME, $site->id, $row?->id, $area, 0, $design);
        $this->entities->wrapInTransaction(function () use ($new, $design, $site, $row, $person): void {
            // One after another at a site, so that the same id sent ten times at once is one design.
            $this->sites->lock($site);
            $known = $this->documents->load($new->id, true);
            if ($known !== null && [$known->siteId, $known->surfaceId] !== [$new->siteId, $new->surfaceId]) {
                throw Conflict::because('request.id_taken', ['id' => $new->id]);
            }
            if ($known === null) {
                $this->documents->add($new, $design->name, $person);
                $this->lines->follow($new->id, $site->id, $design);
                if ($design->style !== null) {
                    $this->references->add($new->id, References::DOCUMENT, $design->style);
                }
                foreach (Lists::usedBy($design) as $list) {
                    $this->references->add($new->id, References::DOCUMENT, $list);
                }
                foreach (MediaUse::of($design) as $media) {
                    $this->references->add($new->id, References::MEDIA, $media);
                }
                $this->recorder->record($person, 'design.create', $new->id, [
                    'name' => $design->name,
                    'surface' => $row?->code,
                    'area' => $new->area,
                ]);
            }
        });

        return ['design' => $id];
    }

    private function sized(Input $input): Design
    {
        $canvas = $input->child('canvas')->keys(['px', 'pitch_mm']);
        $size = Size::parse($canvas->child('px'));
        $nm = $canvas->child('pitch_mm')->asMillionths(self::FINEST_NM, self::COARSEST_NM);
        $um = array_map(static fn (int $px) => intdiv($px * $nm + 500, 1000), $size->toArray());

        return self::fresh($input, $size, $um);
    }

    /** @param array<int> $um */
    private static function fresh(Input $input, Size $size, array $um): Design
    {
        return Design::fresh(
            self::name($input),
            $size,
            $um[0],
            $um[1],
            's-rest',
            'z-'.substr(self::id($input), 0, 8),
            ($input->has('scene') ? $input->optional('scene') : null)?->asText(80, 1) ?? 'Rest',
        );
    }

    /** @return list<string> codes of further surfaces it is meant for */
    private function others(Input $input, Site $site): array
    {
        $codes = $input->optional('surfaces') === null ? [] : Design::codes($input->child('surfaces'));
        $this->surfaces->demand($site, $codes, '/surfaces');

        return $codes;
    }

    private static function id(Input $input): string
    {
        $id = $input->text('design', 36, 36);

        return preg_match('/^[0-9a-f-]{36}$/D', $id) === 1
            ? $id
            : throw Refusal::because('input.id', '/design', ['value' => $id]);
    }

    private static function name(Input $input): string
    {
        $name = trim($input->name('name', 120, 1));

        return $name !== ''
            ? $name
            : throw Refusal::because('input.length', '/name', ['length' => 0, 'least' => 1, 'most' => 120]);
    }
}
