<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Session;

use UpperPane\App\Adapter\DemoPeople;
use UpperPane\App\Entity\Access;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Sites;
use UpperPane\Core\Site\Right;

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
                    'sites' => array_map(
                        static fn (Access $access) => [
                            'slug' => $access->site->slug,
                            'name' => $access->site->name,
                            'zone' => $access->site->timeZone,
                            'role' => $access->role->value,
                            'rights' => array_map(static fn (Right $right) => $right->value, $access->role->rights()),
                        ],
                        $this->sites->of($person),
                    ),
                    'csrf' => $csrf,
                ],
            ];
    }
}
