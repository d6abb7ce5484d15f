<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\References;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Ratio;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\Room;
use UpperPane\Core\Site\Right;

/** The Stock of a site, newest first, with where each file is used. */
final readonly class StockList
{
    public function __construct(
        private EntityManagerInterface $entities,
        private References $references,
        private Gate $gate,
        private string $varDir,
    ) {
    }

    /** @return array{media: list<array<string, mixed>>, free_bytes: ?int} free: what the administrator is told */
    public function __invoke(string $siteSlug, Person $person): array
    {
        $site = $this->gate->site($siteSlug, $person);
        $media = $this->entities
            ->getRepository(Media::class)
            ->findBy(
                ['site' => $site, 'takenMs' => null],
                ['addedAt' => 'DESC', 'id' => 'DESC'],
            );
        $names = $this->references->ofStock((int) $site->id, $media);

        return [
            'media' => array_map(
                static fn (Media $one) => self::line($one, count($names[$one->id] ?? [])) + [
                    'used_in' => $names[$one->id] ?? [],
                ],
                $media,
            ),
            'free_bytes' => $this->gate->may($person, Right::Run, $site)
                ? max(0, (int) disk_free_space($this->varDir) - Room::KEPT_BYTES)
                : null,
        ];
    }

    /** @return array{by: list<array{id: string, kind: string, name: string}>} the documents that use a medium */
    public function uses(string $id, Person $person): array
    {
        $media = $this->entities->find(Media::class, $id) ?? throw Absent::named('media');
        $this->gate->demand($person, Right::See, $media->site);

        return ['by' => $this->references->usersOfMedia($media)];
    }

    /** @return array<string, mixed> */
    public static function line(Media $media, int $uses): array
    {
        $size = $media->width === null ? null : Size::of($media->width, (int) $media->height);

        return [
            'id' => $media->id,
            'name' => $media->name,
            'mime' => $media->mime,
            'kind' => $media->kind(),
            'bytes' => $media->bytes,
            'sha256' => $media->sha256,
            'state' => $media->state,
            'fault' => $media->fault === null
                ? null
                : Refusal::because($media->fault['code'], '', $media->fault['params'])->toArray(),
            'uses' => $uses,
            'size' => $size?->toArray(),
            'ratio' => $size === null ? null : Ratio::of($size)->toArray(),
            'duration_ms' => $media->durationMs,
            'original' => $media->original,
            'font' => $media->font,
            'depth' => $media->depth,
            'alpha' => $media->alpha,
            'notes' => $media->notes()->toArray(),
            'earlier' => array_map(
                static fn (array $one) => array_intersect_key($one, array_flip(['sha256', 'name', 'until', 'by'])),
                $media->earlier,
            ),
        ];
    }
}
