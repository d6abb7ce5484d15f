<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Adapter\BriefPdf;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\UseCase\Document\Desks;
use UpperPane\Core\Brief\BriefCsv;
use UpperPane\Core\Brief\BriefSheet;
use UpperPane\Core\Brief\BriefSvg;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Exchange\SmilRegion;
use UpperPane\Core\Exchange\SmilWriter;
use UpperPane\Core\Plan\ScenePlan;
use UpperPane\Core\Plan\ZonePlan;

/** What is sent of a design to others: the brief sheet as PDF, CSV and SVG, the layout as SMIL. */
final readonly class BriefSheets
{
    public const KINDS = [
        'pdf' => 'application/pdf',
        'csv' => 'text/csv',
        'svg' => 'image/svg+xml',
        'smil' => 'application/smil+xml',
    ];

    public function __construct(private Desks $desks, private Planning $planning, private ShiftedClock $clock)
    {
    }

    /**
     * @param string $kind one of {@see KINDS}
     * @param string $scene for the drawing and the layout; the first of the round when it is not there
     *
     * @return array{string, string} the file and its name
     */
    public function file(string $id, string $kind, string $scene, Person $person): array
    {
        [$loaded] = $this->desks->open($id, $person);
        $design = Planning::design($loaded);
        $stand = $this->planning->stand($loaded);
        $sheet = $stand->sheet;
        $plan = $this->planning->judge($design, $stand)->plan;
        $at = $this->clock->now()->setTimezone(new \DateTimeZone($stand->site->timeZone))->format('Y-m-d H:i');
        $brief = BriefSheet::of($plan, $sheet, $design->name, $sheet->areaName($loaded->area), $loaded->revision, $at);
        $wanted = isset($plan->scenes[$scene]) ? $scene : (string) array_key_first($plan->scenes);

        return [
            match ($kind) {
                'pdf' => BriefPdf::write($brief),
                'csv' => BriefCsv::write($brief),
                'svg' => BriefSvg::write($brief, $brief->scenes[$wanted]),
                default => SmilWriter::write($sheet->surface->canvas, self::regions($plan->scenes[$wanted]))['smil'],
            },
            self::name($loaded, $design, $kind),
        ];
    }

    /** @return list<SmilRegion> by layer, with the letters as names */
    private static function regions(ScenePlan $scene): array
    {
        $zones = $scene->zones;
        usort($zones, static fn (ZonePlan $a, ZonePlan $b) => $a->placed->layer <=> $b->placed->layer);

        return array_map(SmilRegion::ofZone(...), $zones);
    }

    /** Without anything that a file system or a header would take amiss. */
    private static function name(LoadedDocument $loaded, Design $design, string $kind): string
    {
        $plain = trim((string) preg_replace('/[^A-Za-z0-9]+/', '-', $design->name), '-');

        return strtolower($plain === '' ? 'design' : $plain)."-r{$loaded->revision}.$kind";
    }
}
