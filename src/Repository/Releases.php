<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Release;
use UpperPane\App\Entity\ReleasePlan;
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

    /** @return ?ReleasePlan null when the release is not for this surface */
    public function planOn(Release $release, SurfaceRow $surface): ?ReleasePlan
    {
        return $this->entities
            ->getRepository(ReleasePlan::class)
            ->findOneBy(['release' => $release, 'surface' => $surface]);
    }

    /** @return list<ReleasePlan> from left to right */
    public function plans(Release $release): array
    {
        /** @var list<ReleasePlan> */
        return $this->entities
            ->createQuery(
                'SELECT p FROM '.ReleasePlan::class.' p JOIN p.surface s WHERE p.release = :it ORDER BY s.leftMm, s.id',
            )
            ->setParameter('it', $release)
            ->getResult();
    }

    /**
     * @param list<int> $releases
     *
     * @return array<int, list<array{code: string, name: string}>> what each is for, from left to right
     */
    public function surfaces(array $releases): array
    {
        $surfaces = array_fill_keys($releases, []);
        /** @var list<array{id: int, code: string, name: string}> $rows */
        $rows = $this->entities
            ->createQuery(
                'SELECT r.id, s.code, s.name FROM '.
                    ReleasePlan::class.
                    ' p JOIN p.release r JOIN p.surface s WHERE r.id IN (:these) ORDER BY s.leftMm, s.id',
            )
            ->setParameter('these', $releases)
            ->getArrayResult();
        foreach ($rows as ['id' => $id, 'code' => $code, 'name' => $name]) {
            $surfaces[$id][] = ['code' => $code, 'name' => $name];
        }

        return $surfaces;
    }

    /** @return array<string, int> by design, the latest revision of it that was released for a surface */
    public function latestRevisions(SurfaceRow $surface): array
    {
        return array_map(
            intval(...),
            $this->database->fetchAllKeyValue(
                'SELECT r.design_id, MAX(r.revision) FROM release_ r JOIN release_plan p ON p.release_id = r.id '.
                    'WHERE p.surface_id = ? GROUP BY r.design_id',
                [$surface->id],
            ),
        );
    }

    /** @return list<Release> the latest first */
    public function ofDesign(string $design): array
    {
        return $this->entities->getRepository(Release::class)->findBy(['design' => $design], ['number' => 'DESC']);
    }

    /** @return list<Release> the latest first */
    public function forSurface(SurfaceRow $surface, int $most = 20): array
    {
        /** @var list<Release> */
        return $this->entities
            ->createQuery(
                'SELECT r FROM '.
                    Release::class.
                    ' r WHERE EXISTS (SELECT p.id FROM '.
                    ReleasePlan::class.
                    ' p WHERE p.release = r AND p.surface = :surface) ORDER BY r.id DESC',
            )
            ->setParameter('surface', $surface)
            ->setMaxResults($most)
            ->getResult();
    }
}
