<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\DesignLines;
use UpperPane\App\UseCase\Gate;

/** The designs of a site by name, surface, size, who and when. */
final readonly class FindDesigns
{
    private const MOST_WORDS = 8;

    public function __construct(private DesignLines $lines, private Gate $gate)
    {
    }

    /**
     * @param string $sought words that all must be found; empty for every design
     *
     * @return array{designs: list<array<string, mixed>>, more: bool, zone: string}
     */
    public function __invoke(string $slug, string $sought, bool $archived, int $page, Person $person): array
    {
        $site = $this->gate->site($slug, $person);
        $words = preg_split('/\s+/u', mb_substr($sought, 0, 200), self::MOST_WORDS, \PREG_SPLIT_NO_EMPTY);
        [$designs, $more] = $this->lines->find($site->id, $words === false ? [] : $words, $archived, $page);

        return ['designs' => $designs, 'more' => $more, 'zone' => $site->timeZone];
    }
}
