<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Plan\Plan;
use UpperPane\Core\Plan\PlanCompiler;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Site\SurfaceSheet;

/**
 * What there is to say of a design on a surface: its plan, and everything that is found of the surface, its wiring, the
 * area, the round, the layouts and every zone. Bench, previews, effects, release and `bin/pane` all ask here, so that
 * none disagrees.
 */
final readonly class Judgement
{
    /** @param list<Finding> $findings gravest first */
    private function __construct(public Plan $plan, public array $findings)
    {
    }

    /** @param ?string $area the id of the part of its surface that the design is for; null for the whole */
    public static function of(Design $design, SurfaceSheet $sheet, ?string $area, PlanContext $context): self
    {
        $outputs = $sheet->outputMap();
        $place = $area === null ? null : $sheet->areas[$area] ?? null;
        $plan = PlanCompiler::compile(
            $design,
            $sheet->surface,
            $context->seenFrom($sheet->viewingMm()[1], $sheet->surface->pitchXUm),
            $place,
        )
            ->leavingBy($outputs)
            ->with(...self::ofSurface($sheet, $area));

        return new self($plan, Preflight::standard()->plan($plan));
    }

    /**
     * What does not depend on the design: the surface itself, how it is fed, and where its area lies.
     *
     * @return list<Finding>
     */
    public static function ofSurface(SurfaceSheet $sheet, ?string $area): array
    {
        $names = ['area' => $sheet->areaName($area) ?? (string) $area, 'surface' => $sheet->name()];

        return [
            ...$sheet->findings(),
            ...match (true) {
                $area === null => [],
                !isset($sheet->areas[$area]) => [Finding::of('area.not_there', Severity::Caution, '', $names)],
                default => [Finding::of('area.rest_empty', Severity::Note, '', $names)],
            },
        ];
    }

    public function blocks(): bool
    {
        return Preflight::blocks($this->findings);
    }

    /** @return list<Finding> */
    public function stops(): array
    {
        return array_values(
            array_filter($this->findings, static fn (Finding $finding) => $finding->severity === Severity::Stop),
        );
    }
}
