<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase;

use UpperPane\App\Entity\Access;
use UpperPane\App\Entity\DocumentRow;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Repository\Sites;
use UpperPane\Core\Site\Right;
use UpperPane\Core\Site\Role;
use UpperPane\Core\Site\Thing;

/**
 * May this person do this with that? Every use case asks. A site that someone has no access to is not there for them.
 */
final readonly class Gate
{
    public function __construct(private Sites $sites)
    {
    }

    public function may(Person $person, Right $right, Site|SurfaceRow|DocumentRow $on): bool
    {
        return $this->sites->grants($person, self::siteOf($on))->may($right, self::thing($on));
    }

    /** @throws Absent|Forbidden */
    public function demand(Person $person, Right $right, Site|SurfaceRow|DocumentRow $on): Site
    {
        return $this->demandOn($person, $right, self::siteOf($on), self::thing($on));
    }

    /** @throws Absent|Forbidden */
    public function demandOn(Person $person, Right $right, Site $site, Thing $thing): Site
    {
        $grants = $this->sites->grants($person, $site);

        return match (true) {
            $grants->isEmpty() => throw Absent::named('site'),
            $grants->may($right, $thing) => $site,
            default => throw Forbidden::at($site->name, $right),
        };
    }

    /** @throws Absent|Forbidden */
    public function site(string $slug, Person $person, Right $right = Right::See): Site
    {
        return $this->demand($person, $right, $this->sites->bySlug($slug) ?? throw Absent::named('site'));
    }

    /** @return list<Role> everything that a person is anywhere */
    public function roles(Person $person): array
    {
        return [$person->role, ...array_map(static fn (Access $access) => $access->role, $this->sites->of($person))];
    }

    public static function thing(Site|SurfaceRow|DocumentRow $on): Thing
    {
        return match (true) {
            $on instanceof SurfaceRow => Thing::surface($on->code, $on->groups),
            $on instanceof DocumentRow => self::thing($on->surface ?? $on->site)->document($on->id),
            default => Thing::site(),
        };
    }

    private static function siteOf(Site|SurfaceRow|DocumentRow $on): Site
    {
        return $on instanceof Site ? $on : $on->site;
    }
}
