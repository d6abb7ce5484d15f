<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Site;

use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\OnesOfSites;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Surface\ShowSurface;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Book\BookKind;
use UpperPane\Core\Site\SurfaceKind;
use UpperPane\Core\Site\SurfaceSheet;

/**
 * The site's surfaces to scale, with their designs and players; what was archived, and what cannot be read, by name.
 */
final readonly class ShowElevation
{
    public function __construct(
        private Documents $documents,
        private Surfaces $surfaces,
        private ShowSurface $show,
        private ShiftedClock $clock,
        private OnesOfSites $ones,
        private Gate $gate,
    ) {
    }

    /** @return array<string, mixed> */
    public function __invoke(string $slug, Person $person): array
    {
        $site = $this->gate->site($slug, $person);
        $rows = $this->surfaces->of($site);
        $book = $this->ones->of(BookKind::NAME, $site->id);
        $sheets = $this->documents->several(
            SurfaceKind::NAME,
            array_map(static fn (SurfaceRow $row) => $row->document, $rows),
        );
        $revisions = $this->documents->revisions(array_map(static fn (SurfaceRow $row) => $row->document, $rows));
        $there = $archived = $unreadable = [];
        foreach ($rows as $row) {
            $sheet = $sheets[$row->document] ?? null;
            $revision = $revisions[$row->document] ?? 0;
            $brief = [
                'code' => $row->code,
                'name' => $row->name,
                'document' => $row->document,
                'revision' => $revision,
            ];
            if (!$sheet instanceof SurfaceSheet) {
                $unreadable[] = $brief + ['why' => $sheet instanceof Refusal ? $sheet->toArray() : null];
            } elseif ($row->archived) {
                $archived[] = $brief;
            } else {
                $there[] = $this->show->line($row, $revision, $sheet);
            }
        }

        return [
            'site' => [
                'slug' => $site->slug,
                'name' => $site->name,
                'address' => $site->address,
                'zone' => $site->timeZone,
            ],
            'now_ms' => $this->clock->nowMs(),
            'book' => $book === null ? null : [
                'document' => $book->id,
                'groups' => BookDesk::groups($book->document),
            ],
            'surfaces' => $there,
            'archived' => $archived,
            'unreadable' => $unreadable,
        ];
    }
}
