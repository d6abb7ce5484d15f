<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Symfony\Contracts\Service\ResetInterface;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\Quality;
use UpperPane\Core\Picture\Variant;
use UpperPane\Core\Picture\VariantShelf;

/**
 * Pictures made for where they are shown. One that is asked for and not there is noted, for the worker to make.
 */
final class Variants implements VariantShelf, ResetInterface
{
    /** @var array<string, array<string, non-empty-array<string, mixed>>> rows by side and quality, by original */
    private array $fetched = [];

    public function __construct(private readonly Connection $database)
    {
    }

    public function reset(): void
    {
        $this->fetched = [];
    }

    public function find(string $sha256, int $longerSidePx, Quality $quality): ?Variant
    {
        $this->expect([$sha256]);
        $key = "$longerSidePx $quality->value";
        if (!isset($this->fetched[$sha256][$key])) {
            $this->want($sha256, $longerSidePx, $quality);
            $this->fetched[$sha256][$key] = ['sha256' => null];
        }
        $row = $this->fetched[$sha256][$key];

        return $row['sha256'] === null
            ? null
            : new Variant(
                (string) $row['sha256'],
                (string) $row['mime'],
                (int) $row['bytes'],
                Size::of((int) $row['width'], (int) $row['height']),
            );
    }

    /** @param list<string> $originals that will be asked for */
    public function expect(array $originals): void
    {
        $originals = array_values(array_diff($originals, array_keys($this->fetched)));
        if ($originals === []) {
            return;
        }
        $this->fetched += array_fill_keys($originals, []);
        foreach (
            $this->database->fetchAllAssociative(
                'SELECT original, side, quality, sha256, mime, bytes, width, height FROM variant WHERE original IN (?)',
                [$originals],
                [ArrayParameterType::STRING],
            ) as $row
        ) {
            $this->fetched[$row['original']]["$row[side] $row[quality]"] = $row;
        }
    }

    private function want(string $original, int $side, Quality $quality): void
    {
        $this->database->executeStatement(
            'INSERT IGNORE INTO variant (original, side, quality) VALUES (?, ?, ?)',
            [$original, $side, $quality->value],
        );
    }

    /**
     * Each is ordered once, whoever asks.
     *
     * @param callable(array{original: string, side: int, quality: string}): void $each
     *
     * @return int how many
     */
    public function order(int $most, callable $each): int
    {
        return $this->database->transactional(function () use ($most, $each): int {
            $rows = $this->database->fetchAllAssociative(
                "SELECT original, side, quality FROM variant WHERE ordered = 0 LIMIT $most FOR UPDATE SKIP LOCKED",
            );
            foreach ($rows as $row) {
                $this->database->update('variant', ['ordered' => 1], $row);
                $each([
                    'original' => (string) $row['original'],
                    'side' => (int) $row['side'],
                    'quality' => (string) $row['quality'],
                ]);
            }

            return count($rows);
        });
    }

    public function keep(string $original, int $side, Quality $quality, Variant $made): void
    {
        $this->database->update(
            'variant',
            [
                'sha256' => $made->sha256,
                'mime' => $made->mime,
                'bytes' => $made->bytes,
                'width' => $made->size->width,
                'height' => $made->size->height,
            ],
            ['original' => $original, 'side' => $side, 'quality' => $quality->value],
        );
    }
}
