<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Forbidden;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Site\Right;

/** Asked by nginx before the body of an upload is read: who may not add to a Stock sends nothing. */
final readonly class MayAdd
{
    public function __construct(private Gate $gate)
    {
    }

    /** @throws Absent|Forbidden */
    public function __invoke(string $siteSlug, string $method, Person $person): void
    {
        $this->gate->site($siteSlug, $person, $method === 'POST' ? Right::Fill : Right::See);
    }
}
