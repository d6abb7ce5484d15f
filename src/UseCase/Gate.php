<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase;

use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\App\Repository\Sites;
use UpperPane\Core\Site\Right;

/** May this person do this here? Every use case asks. A site that someone has no access to is not there for them. */
final readonly class Gate
{
    public function __construct(private Sites $sites)
    {
    }

    public function may(Person $person, Right $right, Site $site): bool
    {
        return $this->sites->access($person, $site)?->role->may($right) ?? false;
    }

    /** @throws Absent|Forbidden */
    public function demand(Person $person, Right $right, Site $site): Site
    {
        $access = $this->sites->access($person, $site) ?? throw Absent::named('site');

        return $access->role->may($right) ? $site : throw Forbidden::at($site->name, $right);
    }

    /** @throws Absent|Forbidden */
    public function site(string $slug, Person $person, Right $right = Right::See): Site
    {
        return $this->demand($person, $right, $this->sites->bySlug($slug) ?? throw Absent::named('site'));
    }
}
