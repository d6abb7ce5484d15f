<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemOperator;
use UpperPane\App\Adapter\MediaFiles;
use UpperPane\App\Adapter\MediaProbe;
use UpperPane\App\Adapter\Thumbnailer;
use UpperPane\App\Entity\Media;
use UpperPane\Core\Base\Refusal;

/** Looks at a new file of the Stock: px, duration, thumbnail; or says why it cannot be used. */
final readonly class InspectMedia implements Handler
{
    public const KIND = 'media.inspect';

    public function __construct(
        private EntityManagerInterface $entities,
        private FilesystemOperator $files,
        private MediaProbe $probe,
        private Thumbnailer $thumbnailer,
    ) {
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function handle(array $payload): void
    {
        $media = $this->entities->find(Media::class, $payload['media']);
        if ($media === null) {
            return;
        }
        $local = (string) tempnam(sys_get_temp_dir(), 'pane');
        try {
            file_put_contents($local, $this->files->readStream(MediaFiles::original($media->sha256)));
            $facts = $this->probe->look($local, $media->mime);
            $this->thumbnailer->make($local, $local.'.webp', str_starts_with($media->mime, 'video/'));
            $this->files->writeStream(
                MediaFiles::thumbnail($media->sha256),
                fopen($local.'.webp', 'r') ?: throw new \RuntimeException('The thumbnail is gone.'),
            );
            [$media->width, $media->height] = $facts['size']->toArray();
            $media->durationMs = $facts['duration_ms'];
            $media->state = Media::READY;
        } catch (Refusal $refusal) {
            $media->state = Media::FAILED;
            $media->fault = $refusal->getMessage().' '.$refusal->mend();
        } finally {
            array_map(unlink(...), array_filter([$local, $local.'.webp'], is_file(...)));
        }
        $this->entities->flush();
    }
}
