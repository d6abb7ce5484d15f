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
        $local = $this->workFile();
        try {
            file_put_contents($local, $this->files->readStream(MediaFiles::original($media->sha256)));
            $facts = $this->probe->look($local, $media->mime);
            $this->files->write(
                MediaFiles::thumbnail($media->sha256),
                $this->thumbnailer->make($local, $media->mime),
            );
            [$media->width, $media->height] = $facts['size']->toArray();
            $media->durationMs = $facts['duration_ms'];
            $media->state = Media::READY;
            $media->fault = null;
        } catch (Refusal $refusal) {
            $media->fail($refusal);
        } finally {
            unlink($local);
        }
    }

    public function giveUp(array $payload, int $attempts): void
    {
        $this->entities
            ->find(Media::class, $payload['media'])
            ?->fail(Refusal::because('stock.given_up', '/file', ['attempts' => $attempts]));
    }

    /** Readable for the programs that look at it, which run as nobody. */
    private function workFile(): string
    {
        $local = (string) tempnam(sys_get_temp_dir(), 'pane');
        chmod($local, 0o644);

        return $local;
    }
}
