<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Site;

use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\FontShelf;
use UpperPane\App\UseCase\Gate;

/** The faces that designs of a site can be written in. */
final readonly class ListFonts
{
    public function __construct(private FontShelf $fonts, private Gate $gate)
    {
    }

    /** @return array{fonts: list<array{family: string, weight: int, file: string, sha256: string}>} */
    public function __invoke(string $siteSlug, Person $person): array
    {
        return ['fonts' => $this->fonts->of((int) $this->gate->site($siteSlug, $person)->id)->manifest()];
    }
}
