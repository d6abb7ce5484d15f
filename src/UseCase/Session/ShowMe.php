<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Session;

use UpperPane\App\Adapter\DemoPeople;
use UpperPane\App\Entity\Access;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Sites;
use UpperPane\Core\Site\Right;
use UpperPane\Core\Site\Thing;

/** Who is signed in, and what they may do where. */
final readonly class ShowMe
{
    public function __construct(private Sites $sites, private DemoPeople $demo)
    {
    }

    /** @return array{person: ?array<string, mixed>, demo?: list<array<string, string>>} */
    public function __invoke(?Person $person, string $csrf): array
    {
        return $person === null
            ? ['person' => null, 'demo' => $this->demo->all()]
            : [
                'person' => [
                    'name' => $person->name,
                    'email' => $person->email,
                    'role' => $person->role->value,
                    'sites' => self::sites($this->sites->of($person)),
                    'csrf' => $csrf,
                ],
            ];
    }

    /**
     * @param list<Access> $all site by site
     *
     * @return list<array<string, mixed>> `rights` at the site itself, `on` those on its things alone
     */
    private static function sites(array $all): array
    {
        $sites = [];
        foreach ($all as $access) {
            $site = $access->site;
            $sites[$site->slug] ??= [
                'slug' => $site->slug,
                'name' => $site->name,
                'zone' => $site->timeZone,
                'role' => $access->role->value,
                'rights' => [Right::See->value],
                'on' => [],
            ];
            $rights = array_map(static fn (Right $right) => $right->value, $access->role->rights());
            if ($access->on === Thing::SITE) {
                $sites[$site->slug] = ['role' => $access->role->value, 'rights' => $rights] + $sites[$site->slug];
            } else {
                $sites[$site->slug]['on'][] = ['thing' => $access->on, 'rights' => $rights];
            }
        }

        return array_values($sites);
    }
}
