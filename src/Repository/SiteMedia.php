<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Picture\MediaNotes;
use UpperPane\Core\Picture\MediaShelf;
use UpperPane\Core\Picture\Opening;

/**
 * The Stock of one site as plans look things up in it: facts are fetched when they are first asked for, all that are
 * known to come at once. What belongs to another site is not there.
 */
final class SiteMedia implements MediaShelf
{
    /** @var array<string, ?MediaFacts> */
    private array $known = [];

    public function __construct(
        private readonly Connection $database,
        private readonly Lights $lights,
        private readonly int $site,
    ) {
    }

    /** @param list<string> $ids that will be asked for */
    public function expect(array $ids): self
    {
        $ids = array_values(array_diff($ids, array_keys($this->known)));
        if ($ids !== []) {
            $this->known += array_fill_keys($ids, null);
            foreach (
                $this->database->fetchAllAssociative(
                    'SELECT id, name, sha256, mime, bytes, width, height, duration_ms, openings, notes FROM media '.
                        'WHERE id IN (?) AND site_id = ? AND taken_ms IS NULL',
                    [$ids, $this->site],
                    [ArrayParameterType::STRING],
                ) as $row
            ) {
                $size =
                    $row['width'] === null || $row['height'] === null
                        ? null
                        : Size::of((int) $row['width'], (int) $row['height']);
                $this->known[$row['id']] = new MediaFacts(
                    $row['id'],
                    $row['name'],
                    $row['sha256'],
                    $row['mime'],
                    (int) $row['bytes'],
                    $size,
                    $row['duration_ms'] === null ? null : (int) $row['duration_ms'],
                    self::openings($row['openings']),
                    MediaNotes::parse(Input::of(json_decode((string) $row['notes'], true))),
                    fn () => $this->lights->of($row['sha256']),
                );
            }
        }

        return $this;
    }

    public function find(string $id): ?MediaFacts
    {
        return $this->expect([$id])->known[$id];
    }

    /** @return list<Opening> */
    private static function openings(?string $json): array
    {
        return array_map(
            static fn (mixed $one) => Opening::parse(Input::of($one)),
            array_values((array) json_decode($json ?? '[]', true)),
        );
    }
}
