<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\DocumentRow;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Site;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\DesignKind;

/** Looks surfaces up, and the designs that are made for them. */
final readonly class Surfaces
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function byCode(string $code): ?SurfaceRow
    {
        return $this->entities->getRepository(SurfaceRow::class)->findOneBy(['code' => $code]);
    }

    public function lock(SurfaceRow $surface): void
    {
        $this->entities->refresh($surface, LockMode::PESSIMISTIC_WRITE);
    }

    public function byId(int $id): ?SurfaceRow
    {
        return $this->entities->find(SurfaceRow::class, $id);
    }

    public function byDocument(string $document): ?SurfaceRow
    {
        return $this->entities->getRepository(SurfaceRow::class)->findOneBy(['document' => $document]);
    }

    public function madeAs(string $id): ?SurfaceRow
    {
        return $this->entities->getRepository(SurfaceRow::class)->findOneBy(['madeAs' => $id]);
    }

    /** @return list<SurfaceRow> from left to right */
    public function of(Site $site): array
    {
        return $this->entities
            ->getRepository(SurfaceRow::class)
            ->findBy(['site' => $site], ['leftMm' => 'ASC', 'id' => 'ASC']);
    }

    /**
     * @param list<string> $codes
     *
     * @return list<SurfaceRow> those of a site, from left to right
     */
    public function coded(Site $site, array $codes): array
    {
        return $this->entities
            ->getRepository(SurfaceRow::class)
            ->findBy(['code' => $codes, 'site' => $site], ['leftMm' => 'ASC', 'id' => 'ASC']);
    }

    /**
     * @param list<string> $codes
     *
     * @throws Refusal `surface.unknown` for one that is not at the site
     */
    public function demand(Site $site, array $codes, string $path): void
    {
        $there = array_map(static fn (SurfaceRow $row) => $row->code, $this->coded($site, $codes));
        foreach ($codes as $index => $code) {
            if (!in_array($code, $there, true)) {
                throw Refusal::because('surface.unknown', "$path/$index", ['code' => $code]);
            }
        }
    }

    /** @return list<DocumentRow> made on it or meant for it, not archived, the last changed first */
    public function designs(SurfaceRow $surface): array
    {
        /** @var list<DocumentRow> */
        return $this->entities
            ->createQuery(
                'SELECT d FROM '.
                    DocumentRow::class.
                    ' d WHERE (d.surface = :surface OR :surface MEMBER OF d.surfaces) AND d.kind = :kind '.
                    'AND d.archived = false AND d.removedMs IS NULL ORDER BY d.changedAt DESC, d.id ASC',
            )
            ->setParameters(['surface' => $surface, 'kind' => DesignKind::NAME])
            ->getResult();
    }

    /** A code for addresses, from a name, that no other surface or player has. */
    public function freeCode(string $name): string
    {
        $plain = transliterator_transliterate('Any-Latin; Latin-ASCII; Lower()', $name);
        $base = trim((string) preg_replace('/[^a-z0-9]+/', '-', $plain === false ? '' : $plain), '-');
        $base = $base === '' || !ctype_alpha($base[0]) ? trim("surface-$base", '-') : $base;
        $base = rtrim(substr($base, 0, 30), '-');
        for ($number = 1;; ++$number) {
            $code = $number === 1 ? $base : "$base-$number";
            $taken =
                $this->entities->getRepository(SurfaceRow::class)->count(['code' => $code]) +
                $this->entities->getRepository(Player::class)->count(['code' => "$code-1"]);
            if ($taken === 0) {
                return $code;
            }
        }
    }
}
