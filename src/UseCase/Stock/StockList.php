<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\References;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Geometry\Ratio;
use UpperPane\Core\Geometry\Size;

/** The Stock of a site, newest first, with where each file is used. */
final readonly class StockList
{
    public function __construct(
        private EntityManagerInterface $entities,
        private References $references,
        private Gate $gate,
    ) {
    }

    /** @return array{media: list<array<string, mixed>>} */
    public function __invoke(string $siteSlug, Person $person): array
    {
        $site = $this->gate->site($siteSlug, $person);
        $names = $this->references->ofSite($site->id);
        $media = $this->entities
            ->getRepository(Media::class)
            ->findBy(['site' => $site], ['addedAt' => 'DESC', 'id' => 'DESC']);

        return [
            'media' => array_map(
                static fn (Media $one) => self::line($one, count($names[$one->id] ?? [])) + [
                    'used_in' => $names[$one->id] ?? [],
                ],
                $media,
            ),
        ];
    }

    /** @return array<string, mixed> */
    public static function line(Media $media, int $uses): array
    {
        $size = $media->width === null ? null : Size::of($media->width, (int) $media->height);

        return [
            'id' => $media->id,
            'name' => $media->name,
            'mime' => $media->mime,
            'bytes' => $media->bytes,
            'sha256' => $media->sha256,
            'state' => $media->state,
            'fault' => $media->fault,
            'uses' => $uses,
            'size' => $size?->toArray(),
            'ratio' => $size === null ? null : Ratio::of($size)->toArray(),
            'duration_ms' => $media->durationMs,
        ];
    }
}
