<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Access;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\Core\Site\Grants;
use UpperPane\Core\Site\Role;

final readonly class Sites
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function bySlug(string $slug): ?Site
    {
        return $this->entities->getRepository(Site::class)->findOneBy(['slug' => $slug]);
    }

    public function byId(int $id): ?Site
    {
        return $this->entities->find(Site::class, $id);
    }

    public function lock(Site $site): void
    {
        $this->entities->refresh($site, LockMode::PESSIMISTIC_WRITE);
    }

    /** Asked with every request, so plain SQL. */
    public function grants(Person $person, Site $site): Grants
    {
        return new Grants(array_map(
            static fn (array $row) => [$row['thing'], Role::from($row['role'])],
            $this->entities->getConnection()->fetchAllAssociative(
                'SELECT thing, role FROM access WHERE person_id = ? AND site_id = ?',
                [$person->id, $site->id],
            ),
        ));
    }

    /** @return list<Access> what a person is at the sites they have access to, site by site */
    public function of(Person $person): array
    {
        return $this->entities->getRepository(Access::class)->findBy(['person' => $person], ['site' => 'ASC']);
    }
}
