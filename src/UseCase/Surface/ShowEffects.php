<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Surface;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\DesignRow;
use UpperPane\App\UseCase\Design\DesignStore;
use UpperPane\App\UseCase\Design\Planning;
use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Preflight\Preflight;
use UpperPane\Core\Site\SurfaceSheet;

/** What a change of a surface would do to every design on it, before it is done. Nothing is stored. */
final readonly class ShowEffects
{
    public function __construct(private EntityManagerInterface $entities, private Surfaces $surfaces, private DesignStore $store, private Planning $planning)
    {
    }

    /**
     * @return array<string, mixed> the surface before and after, and per design its plan there with all findings
     *
     * @throws Refusal with the field's path below `/set`
     */
    public function __invoke(string $code, Input $input): array
    {
        $set = $input->keys(['set'])->child('set')->keys(SurfaceSheet::FIELDS)->raw();
        \assert(is_array($set));
        $row = $this->surfaces->row($code);
        $before = $row->sheet();
        try {
            $after = $before->with($set);
        } catch (Refusal $refusal) {
            throw $refusal->below('/set');
        }
        $designs = $this->entities->getRepository(DesignRow::class)->findBy(['surface' => $row], ['changedAt' => 'DESC']);

        return [
            'before' => ['canvas' => $before->surface->canvas->toArray()],
            'after' => Particulars::of($after->surface, $after->viewingMm()[1]),
            'designs' => array_map(fn (DesignRow $design) => $this->effect($design, $before, $after), $designs),
        ];
    }

    /** @return array<string, mixed> */
    private function effect(DesignRow $row, SurfaceSheet $before, SurfaceSheet $after): array
    {
        $document = $this->store->load($row->id)->document;
        [$old, $new] = [$this->planning->plan($row, $document, $row->surface, $before), $this->planning->plan($row, $document, $row->surface, $after)];
        $sizes = static fn (array $zones) => array_combine(array_map(static fn ($zone) => $zone->zone->letter, $zones), array_map(static fn ($zone) => $zone->rect->toArray(), $zones));
        $was = $sizes($old->zones);
        $findings = [...$new->findings, ...Preflight::standard()->check($new->zones)];

        return [
            'id' => $row->id, 'name' => $row->name,
            'zones' => array_map(static fn (string $letter, array $rect) => ['letter' => $letter, 'before' => $was[$letter] ?? null, 'after' => $rect], array_keys($sizes($new->zones)), $sizes($new->zones)),
            'findings' => array_map(static fn (Finding $finding) => $finding->toArray(), $findings),
            'plan' => $new->toArray(),
        ];
    }
}
