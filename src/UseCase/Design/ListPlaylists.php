<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Playlists;
use UpperPane\App\Repository\References;
use UpperPane\App\UseCase\Gate;

/** The playlists of a site's Stock, and where each is used. */
final readonly class ListPlaylists
{
    public function __construct(
        private Playlists $playlists,
        private References $references,
        private Planning $planning,
        private Gate $gate,
    ) {
    }

    /** @return array{playlists: list<array<string, mixed>>} */
    public function __invoke(string $slug, Person $person): array
    {
        $site = $this->gate->site($slug, $person);
        $lines = [];
        foreach ($this->playlists->ofSite((int) $site->id) as $id => $design) {
            $list = $design->list();
            $this->planning->expect($design, $site, null);
            $lines[] = [
                'id' => (string) $id,
                'name' => $design->name,
                'canvas' => $design->canvas->toArray(),
                'entries' => count($list->entries ?? []),
                'cycle_ms' => $list === null ? null : $this->planning->contentTime($site)->cycle($list),
                'used_by' => array_map(
                    static fn (array $use) => ['id' => $use['id'], 'name' => $use['name']],
                    $this->references->usersOf((string) $id),
                ),
            ];
        }

        return ['playlists' => $lines];
    }
}
