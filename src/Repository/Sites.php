<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Access;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;

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

    public function access(Person $person, Site $site): ?Access
    {
        return $this->entities->find(Access::class, ['person' => $person->id, 'site' => $site->id]);
    }

    /** @return list<Access> the sites a person has access to */
    public function of(Person $person): array
    {
        return $this->entities->getRepository(Access::class)->findBy(['person' => $person], ['site' => 'ASC']);
    }
}
