<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Release;
use UpperPane\App\Entity\SurfaceRow;

final readonly class Releases
{
    public function __construct(private EntityManagerInterface $entities, private Connection $database)
    {
    }

    /** The number of a design's next release; the design is locked by whoever asks. */
    public function next(string $design): int
    {
        return 1 + (int) $this->database->fetchOne('SELECT MAX(number) FROM release_ WHERE design_id = ?', [$design]);
    }

    public function madeAs(string $id): ?Release
    {
        return $this->entities->getRepository(Release::class)->findOneBy(['madeAs' => $id]);
    }

    public function byId(int $id): ?Release
    {
        return $this->entities->find(Release::class, $id);
    }

    /** @return list<Release> the latest first */
    public function ofDesign(string $design): array
    {
        return $this->entities->getRepository(Release::class)->findBy(['design' => $design], ['number' => 'DESC']);
    }

    /** @return list<Release> the latest first */
    public function forSurface(SurfaceRow $surface, int $most = 20): array
    {
        return $this->entities->getRepository(Release::class)->findBy(['surface' => $surface], ['id' => 'DESC'], $most);
    }
}
