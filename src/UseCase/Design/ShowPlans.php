<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\HouseStyles;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Document\Desks;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Preflight\Judgement;
use UpperPane\Core\Style\HouseStyle;

/** A design as a plan: on its own surface, on others of the site. */
final readonly class ShowPlans
{
    private const MOST_BESIDE = 24;

    public function __construct(
        private Desks $desks,
        private Planning $planning,
        private Surfaces $surfaces,
        private HouseStyles $styles,
    ) {
    }

    /** @return array<string, mixed> the plan on a surface, its own when none is named, with all findings there */
    public function one(string $id, ?string $surface, Person $person): array
    {
        $loaded = $this->open($id, $person);

        return self::written($this->judge($loaded, $surface));
    }

    /**
     * The same design on several surfaces of its site side by side.
     *
     * @param list<string> $codes
     *
     * @return array{plans: list<array<string, mixed>>} each with its surface and its findings there; unknown surfaces
     *     are left out
     */
    public function several(string $id, array $codes, Person $person): array
    {
        $loaded = $this->open($id, $person);
        $rows = $this->surfaces->coded(
            $this->planning->stand($loaded)->site,
            array_slice($codes, 0, self::MOST_BESIDE),
        );

        return [
            'plans' => array_map(
                fn (SurfaceRow $row) => [
                    'surface' => ['code' => $row->code, 'name' => $row->name],
                ] + self::written($this->onSurface($loaded, $row)),
                $rows,
            ),
        ];
    }

    /**
     * The same design on its own surface, as several house styles of its site would have it.
     *
     * @param list<string> $styles ids; unknown ones are left out
     *
     * @return array{plans: list<array<string, mixed>>}
     */
    public function styled(string $id, array $styles, Person $person): array
    {
        $loaded = $this->open($id, $person);
        $stand = $this->planning->stand($loaded);
        $known = array_intersect_key(
            $this->styles->ofSite($stand->site->id),
            array_flip(array_slice($styles, 0, self::MOST_BESIDE)),
        );

        return [
            'plans' => array_map(
                fn (string $style, HouseStyle $one) => ['style' => ['id' => $style, 'name' => $one->name]] +
                    self::written(
                        $this->planning->judge(Planning::design($loaded)->with(['style' => $style]), $stand),
                    ),
                array_map(strval(...), array_keys($known)),
                array_values($known),
            ),
        ];
    }

    private function open(string $id, Person $person): LoadedDocument
    {
        [$loaded] = $this->desks->open($id, $person);

        return $loaded->document instanceof Design ? $loaded : throw Absent::named('design');
    }

    private function judge(LoadedDocument $loaded, ?string $surface): Judgement
    {
        $own = $this->planning->stand($loaded);
        if ($surface === null) {
            return $this->planning->judge(Planning::design($loaded), $own);
        }

        return $this->onSurface(
            $loaded,
            $this->surfaces->coded($own->site, [$surface])[0] ?? throw Absent::named('surface'),
        );
    }

    private function onSurface(LoadedDocument $loaded, SurfaceRow $row): Judgement
    {
        return $this->planning->judge(Planning::design($loaded), $this->planning->on($loaded, $row));
    }

    /** @return array{plan: array<string, mixed>, findings: list<array<string, mixed>>} */
    private static function written(Judgement $judgement): array
    {
        return [
            'plan' => $judgement->plan->dated(),
            'findings' => array_map(static fn (Finding $finding) => $finding->toArray(), $judgement->findings),
        ];
    }
}
