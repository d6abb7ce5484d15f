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

    /**
     * @return array<string, array{release: int, revision: int, made_of: ?array<string, mixed>}> by design, the latest
     *     release of it for a surface, and the sums of what its plan there was made of
     */
    public function latest(SurfaceRow $surface): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT r.design_id AS design, r.id, r.revision, p.made_of FROM release_ r '.
                'JOIN release_plan p ON p.release_id = r.id WHERE p.surface_id = ? ORDER BY r.number',
            [$surface->id],
        );
        $latest = [];
        foreach ($rows as $row) {
            $latest[(string) $row['design']] = [
                'release' => (int) $row['id'],
                'revision' => (int) $row['revision'],
                'made_of' => $row['made_of'] === null ? null : (array) json_decode((string) $row['made_of'], true),
            ];
        }

        return $latest;
    }

    /** @return list<ReleasePlan> some of those whose inputs are not known */
    public function withoutInputs(int $most): array
    {
        return $this->entities
            ->getRepository(ReleasePlan::class)
            ->findBy(['madeOf' => null], ['id' => 'DESC'], $most);
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
