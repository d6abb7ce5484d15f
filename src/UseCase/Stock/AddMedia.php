<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemOperator;
use Symfony\Component\Uid\Uuid;
use UpperPane\App\Adapter\MediaFiles;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Job\InspectMedia;
use UpperPane\App\Job\Queue;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Site\Right;

/** Takes a file into the Stock: what it is is read from its bytes, not its name. The worker looks at it afterwards. */
final readonly class AddMedia
{
    public const KINDS = [
        'image/jpeg' => 'JPEG',
        'image/png' => 'PNG',
        'image/webp' => 'WebP',
        'video/mp4' => 'MP4',
        'video/webm' => 'WebM',
    ];

    public function __construct(
        private EntityManagerInterface $entities,
        private FilesystemOperator $files,
        private ShiftedClock $clock,
        private Queue $queue,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /**
     * @param string $path a local file that may be read once
     *
     * @return array<string, mixed>
     *
     * @throws Refusal `stock.empty`, `stock.type`
     */
    public function __invoke(string $siteSlug, string $path, string $name, Person $person): array
    {
        $site = $this->gate->site($siteSlug, $person, Right::Fill);
        $bytes = (int) filesize($path);
        if ($bytes === 0) {
            throw Refusal::because('stock.empty', '/file', ['name' => $name]);
        }
        $mime = (string) (new \finfo(\FILEINFO_MIME_TYPE))->file($path);
        if (!isset(self::KINDS[$mime])) {
            throw Refusal::because('stock.type', '/file', [
                'name' => $name,
                'mime' => $mime,
                'known' => array_values(self::KINDS),
            ]);
        }
        $sha256 = (string) hash_file('sha256', $path);
        $known = $this->entities->getRepository(Media::class)->findOneBy(['sha256' => $sha256, 'site' => $site]);
        if ($known !== null) {
            return StockList::line($known, 0) + ['already' => true];
        }
        $this->keep($path, $sha256);
        $media = new Media(
            Uuid::v7()->toRfc4122(),
            $site,
            mb_substr($name, 0, 250),
            $sha256,
            $mime,
            $bytes,
            $this->clock->now(),
            $person,
        );
        $this->entities->wrapInTransaction(function () use ($media, $person): void {
            $this->entities->persist($media);
            $this->entities->flush();
            $this->queue->add(InspectMedia::KIND, ['media' => $media->id]);
            $this->recorder->record($person, 'stock.add', $media->id, ['name' => $media->name]);
        });

        return StockList::line($media, 0);
    }

    /** Written to a temporary name and moved, so that nobody ever sees half a file. */
    private function keep(string $path, string $sha256): void
    {
        $target = MediaFiles::original($sha256);
        $stream = fopen($path, 'r') ?: throw new \RuntimeException('The upload is gone.');
        $temporary = $target.'.'.bin2hex(random_bytes(4));
        $this->files->writeStream($temporary, $stream);
        $this->files->move($temporary, $target);
    }
}
