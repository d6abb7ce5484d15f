<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Uid\Uuid;
use UpperPane\App\Adapter\FileKind;
use UpperPane\App\Adapter\FileWriter;
use UpperPane\App\Adapter\MediaFiles;
use UpperPane\App\Adapter\NoRoom;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\App\Job\InspectMedia;
use UpperPane\App\Job\Queue;
use UpperPane\App\Repository\Sites;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Picture\Room;
use UpperPane\Core\Site\Right;

/** Takes a file into the Stock: what it is is read from its bytes, not its name. The worker looks at it afterwards. */
final readonly class AddMedia
{
    public const KINDS = [
        'image/jpeg' => 'JPEG',
        'image/png' => 'PNG',
        'image/apng' => 'APNG',
        'image/webp' => 'WebP',
        'image/gif' => 'GIF',
        'image/tiff' => 'TIFF',
        'image/bmp' => 'BMP',
        'image/heic' => 'HEIC',
        'image/heif' => 'HEIF',
        'image/avif' => 'AVIF',
        'image/svg+xml' => 'SVG',
        'application/pdf' => 'PDF',
        'video/mp4' => 'MP4',
        'video/webm' => 'WebM',
        'video/quicktime' => 'MOV',
        'video/x-m4v' => 'M4V',
        'video/3gpp' => '3GP',
        'video/x-matroska' => 'MKV',
        'video/x-msvideo' => 'AVI',
        'video/mpeg' => 'MPEG',
        'video/mp2t' => 'TS',
        'audio/mpeg' => 'MP3',
        'audio/x-m4a' => 'M4A',
        'audio/mp4' => 'M4A',
        'audio/x-wav' => 'WAV',
        'audio/ogg' => 'OGG',
        'audio/flac' => 'FLAC',
        'application/zip' => 'ZIP of a web page',
        'font/ttf' => 'TTF',
        'font/otf' => 'OTF',
    ];

    public function __construct(
        private EntityManagerInterface $entities,
        private FileWriter $writer,
        private ShiftedClock $clock,
        private Queue $queue,
        private Gate $gate,
        private Recorder $recorder,
        private Sites $sites,
        private string $varDir,
    ) {
    }

    /**
     * @param string  $path   a local file that may be read once
     * @param ?string $sha256 of it, where that is known: it is held against what was stored
     *
     * @return array<string, mixed>
     *
     * @throws Refusal `stock.empty`, `stock.type`, `stock.no_room`
     * @throws NoRoom
     */
    public function __invoke(
        string $siteSlug,
        string $path,
        string $name,
        Person $person,
        ?string $sha256 = null,
    ): array {
        $site = $this->gate->site($siteSlug, $person, Right::Fill);
        $bytes = (int) filesize($path);
        if ($bytes === 0) {
            throw Refusal::because('stock.empty', '/file', ['name' => $name]);
        }
        $mime = FileKind::demand($path, $name, self::KINDS);
        Room::demand((int) disk_free_space($this->varDir), $bytes);
        $sha256 ??= (string) hash_file('sha256', $path);
        // Before anybody waits for the site: of two that store the same file, one puts it over the other.
        if (self::usable($this->known($site, $sha256)) === null) {
            $this->writer->store($path, MediaFiles::original($sha256), $bytes, $sha256);
        }

        return $this->entities->wrapInTransaction(
            fn () => $this->add($site, $name, $sha256, $mime, $bytes, $person),
        );
    }

    /** As a file system of any kind may call a file: what does not show, or steers, is left out. */
    public static function named(string $name): string
    {
        $plain = trim((string) preg_replace('/[\p{C}\p{Zl}\p{Zp}]+/u', ' ', mb_scrub($name)));

        return mb_substr($plain === '' ? 'file' : $plain, 0, 250);
    }

    /** @return array<string, mixed> */
    private function add(
        Site $site,
        string $name,
        string $sha256,
        string $mime,
        int $bytes,
        Person $person,
    ): array {
        // One after another, so that the same file sent twelve times at once is one medium.
        $this->sites->lock($site);
        $known = $this->known($site, $sha256);
        $known === null || $this->entities->refresh($known);
        $there = self::usable($known);
        if ($there !== null) {
            return StockList::line($there, 0) + ['already' => true];
        }
        if ($known !== null) {
            return StockList::line($this->again($known, $person), 0);
        }
        $media = new Media(
            Uuid::v7()->toRfc4122(),
            $site,
            self::named($name),
            $sha256,
            $mime,
            $bytes,
            $this->clock->now(),
            $person,
        );
        $this->entities->wrapInTransaction(function () use ($media, $person): void {
            $this->entities->persist($media);
            $this->entities->flush();
            $this->queue->add(InspectMedia::KIND, ['media' => $media->id], InspectMedia::lane($media->mime));
            $this->recorder->record($person, 'stock.add', $media->id, ['name' => $media->name]);
        });

        return StockList::line($media, 0);
    }

    private function known(Site $site, string $sha256): ?Media
    {
        $library = $this->entities->getRepository(Media::class);

        return $library->findOneBy(['sha256' => $sha256, 'site' => $site])
            ?? $library->findOneBy(['originalSha256' => $sha256, 'site' => $site]);
    }

    private static function usable(?Media $known): ?Media
    {
        return $known !== null && $known->state !== Media::FAILED && $known->takenMs === null ? $known : null;
    }

    /** A file that could not be used is looked at anew: it may have been a full disk, or an older version of us. */
    private function again(Media $media, Person $person): Media
    {
        $this->entities->wrapInTransaction(function () use ($media, $person): void {
            [$media->state, $media->fault, $media->takenMs] = [Media::WAITING, null, null];
            $this->queue->add(InspectMedia::KIND, ['media' => $media->id], InspectMedia::lane($media->mime));
            $this->recorder->record($person, 'stock.again', $media->id, ['name' => $media->name]);
        });

        return $media;
    }
}
