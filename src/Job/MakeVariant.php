<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

use Doctrine\DBAL\Connection;
use League\Flysystem\FilesystemOperator;
use UpperPane\App\Adapter\MediaFiles;
use UpperPane\App\Adapter\VariantMaker;
use UpperPane\App\Repository\Variants;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\Quality;
use UpperPane\Core\Picture\Variant;

/** Makes a picture as small as the place where it is shown; where that saves nothing the picture stays as it is. */
final readonly class MakeVariant implements Handler
{
    public const KIND = 'media.variant';

    public function __construct(
        private Connection $database,
        private FilesystemOperator $files,
        private VariantMaker $maker,
        private Variants $variants,
    ) {
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function handle(array $payload): void
    {
        [$original, $side] = [(string) $payload['original'], (int) $payload['side']];
        $quality = Quality::from((string) $payload['quality']);
        $mime = $this->database->fetchOne('SELECT mime FROM media WHERE sha256 = ? LIMIT 1', [$original]);
        if (!is_string($mime)) {
            return;
        }
        $whole = $this->files->read(MediaFiles::original($original));
        $made = $this->maker->make($whole, $mime, $side, $quality);
        $size = $made === null ? false : getimagesizefromstring($made);
        if ($made === null || $size === false || strlen($made) >= strlen($whole)) {
            return;
        }
        $sha256 = hash('sha256', $made);
        $this->files->write(MediaFiles::original($sha256), $made);
        $this->variants->keep(
            $original,
            $side,
            $quality,
            new Variant($sha256, 'image/webp', strlen($made), Size::of($size[0], $size[1])),
        );
    }

    /** The picture stays as it is. */
    public function giveUp(array $payload, int $attempts): void
    {
    }
}
