<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use UpperPane\App\Entity\DocumentRow;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Preflight\Judgement;
use UpperPane\Core\Site\Command\SetField;
use UpperPane\Core\Site\Right;
use UpperPane\Core\Site\SurfaceSheet;

/** What another shape of a surface would do to every design on it, before it is done. Nothing is stored. */
final readonly class ShowEffects
{
    public function __construct(
        private Documents $documents,
        private Surfaces $surfaces,
        private Planning $planning,
        private Gate $gate,
    ) {
    }

    /**
     * @return array<string, mixed> the surface before and after, and per design its plan there with all findings
     *
     * @throws Refusal with the field's path below `/shape`
     */
    public function __invoke(string $code, Input $input, Person $person): array
    {
        $input->keys(['shape']);
        $row = $this->surfaces->byCode($code) ?? throw Absent::named('surface');
        $this->gate->demand($person, Right::Mount, $row);
        $before = $this->planning->sheet($row);
        try {
            $after = (new SetField('shape', $input->child('shape')->raw()))->apply($before)->after;
        } catch (Refusal $refusal) {
            throw str_starts_with($refusal->path, '/value')
                ? $refusal->at('/shape'.substr($refusal->path, 6))
                : $refusal;
        }

        return [
            'before' => ['canvas' => $before->surface->canvas->toArray()],
            'after' => Particulars::of($after->surface, $after->viewingMm()[1]),
            'unwired' => $before->outputs !== null && $after->outputs === null,
            'designs' => array_map(
                fn (DocumentRow $design) => $this->effect($design, $row, $before, $after),
                $this->surfaces->designs($row),
            ),
        ];
    }

    /** @return array<string, mixed> without a plan, with the reason, when it cannot be read */
    private function effect(DocumentRow $design, SurfaceRow $row, SurfaceSheet $before, SurfaceSheet $after): array
    {
        try {
            $loaded = $this->documents->load($design->id);
            $document = $loaded?->document;
            if ($loaded === null || !($document instanceof Design)) {
                throw Absent::named('design');
            }
            $stand = $this->planning->on($loaded, $row);
            $was = self::rects($this->planning->judge($document, $stand->with($before)));
            $judgement = $this->planning->judge($document, $stand->with($after));
        } catch (Refusal $damage) {
            $finding = Finding::of($damage->refusalCode, Severity::Stop, $damage->path, $damage->params);

            return [
                'id' => $design->id,
                'name' => $design->name,
                'zones' => [],
                'findings' => [$finding->toArray()],
                'plan' => null,
            ];
        }

        return [
            'id' => $design->id,
            'name' => $design->name,
            'zones' => array_map(
                static fn (array $zone) => $zone + ['before' => $was[$zone['letter']]['after'] ?? null],
                array_values(self::rects($judgement)),
            ),
            'findings' => array_map(static fn (Finding $finding) => $finding->toArray(), $judgement->findings),
            'plan' => $judgement->plan->dated(),
        ];
    }

    /**
     * @return array<string, array{letter: string, after: array{int, int, int, int}}> by letter, where it first stands
     */
    private static function rects(Judgement $judgement): array
    {
        $rects = [];
        foreach ($judgement->plan->zones() as $zone) {
            $rects[$zone->zone->letter()] ??= ['letter' => $zone->zone->letter(), 'after' => $zone->rect->toArray()];
        }
        ksort($rects);

        return $rects;
    }
}
