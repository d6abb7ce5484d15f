<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;
use UpperPane\Core\Site\Role;
use UpperPane\Core\Site\Thing;

/** What a person is at a site, or on one of its things. Without any, the site is not there for them. */
#[ORM\Entity, ORM\Table(name: 'access')]
class Access
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public Person $person,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(nullable: false)] public Site $site,
        #[ORM\Column(length: 20, enumType: Role::class)] public Role $role,
        /** {@see Thing} */
        #[ORM\Id, ORM\Column(name: 'thing', length: 80)] public string $on = Thing::SITE,
    ) {
    }
}
