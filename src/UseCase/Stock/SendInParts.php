<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Uid\Uuid;
use UpperPane\App\Adapter\FileKind;
use UpperPane\App\Adapter\FileWriter;
use UpperPane\App\Adapter\NoRoom;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\App\Repository\Sites;
use UpperPane\App\Repository\Uploads;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Picture\Room;
use UpperPane\Core\Site\Right;

/**
 * A large file, part by part, as the tus protocol 1.0.0 has it (core protocol, creation and termination): what arrived
 * is kept, and whoever was interrupted goes on from there.
 *
 * @phpstan-import-type Row from Uploads
 */
final readonly class SendInParts
{
    public const MOST_BYTES = 4 << 30;
    public const MOST_PART_BYTES = 8 << 20;

    public function __construct(
        private Uploads $uploads,
        private Connection $database,
        private Sites $sites,
        private Gate $gate,
        private AddMedia $add,
        private EntityManagerInterface $entities,
        private string $varDir,
    ) {
    }

    /**
     * @return string the id of the upload
     *
     * @throws Refusal `stock.empty`, `stock.too_large`, `stock.no_room`
     */
    public function begin(string $siteSlug, string $name, int $bytes, Person $person): string
    {
        $site = $this->gate->site($siteSlug, $person, Right::Fill);
        if ($bytes < 1) {
            throw Refusal::because('stock.empty', '/file', ['name' => $name]);
        }
        if ($bytes > self::MOST_BYTES) {
            throw Refusal::because('stock.too_large', '/file', ['name' => $name, 'most' => self::MOST_BYTES >> 30]);
        }
        // While it is put together, it lies there twice.
        $promised = $this->uploads->promised((int) $site->id);
        Room::demand((int) disk_free_space($this->varDir), 2 * $bytes + $promised);
        $id = Uuid::v7()->toRfc4122();
        $this->uploads->begin($id, (int) $site->id, (int) $person->id, AddMedia::named($name), $bytes);

        return $id;
    }

    /**
     * @return array{received: int, bytes: int}
     *
     * @throws Absent
     */
    public function look(string $id, Person $person): array
    {
        $upload = $this->upload($id, $person);

        return ['received' => $upload['received'], 'bytes' => $upload['bytes']];
    }

    /**
     * @param resource $part
     *
     * @return int how much has arrived by now
     *
     * @throws Absent
     * @throws Conflict `stock.upload_elsewhere` when it does not go on where the last part ended
     * @throws Refusal  `stock.part`, `stock.type`
     * @throws NoRoom
     */
    public function take(string $id, int $from, mixed $part, Person $person): int
    {
        return $this->database->transactional(function () use ($id, $from, $part, $person): int {
            $upload = $this->upload($id, $person, true);
            if ($from !== $upload['received']) {
                throw Conflict::because('stock.upload_elsewhere', ['received' => $upload['received']]);
            }
            $held = FileWriter::temporary(self::MOST_PART_BYTES);
            try {
                ['bytes' => $bytes, 'sha256' => $sha256] = FileWriter::write($held, $part, self::MOST_PART_BYTES + 1);
                if ($bytes < 1 || $bytes > min(self::MOST_PART_BYTES, $upload['bytes'] - $from)) {
                    throw Refusal::because('stock.part', '/', [
                        'bytes' => $bytes,
                        'most' => min(self::MOST_PART_BYTES, $upload['bytes'] - $from),
                    ]);
                }
                if ($from === 0) {
                    // What the Stock does not take is refused before all of it is sent.
                    FileKind::demand($held, $upload['name'], AddMedia::KINDS);
                }
                $this->uploads->take($id, $from, $held, $bytes, $sha256, $upload['hashed']);
            } finally {
                unlink($held);
            }

            return $from + $bytes;
        });
    }

    /**
     * Receiving, then joining, then done, under one lock: whoever asks meanwhile waits for it, and whoever asks again
     * gets the same medium. No part is taken away before the whole is stored and was read again.
     *
     * @return array<string, mixed> the medium
     *
     * @throws Absent
     * @throws Conflict `stock.upload_elsewhere` while a part of it is missing
     * @throws NoRoom
     */
    public function done(string $id, Person $person): array
    {
        // Four GB are read and written three times: PHP-FPM ends what takes too long.
        set_time_limit(0);
        $media = $this->database->transactional(function () use ($id, $person): array {
            $upload = $this->upload($id, $person, true);
            if ($upload['media'] !== null) {
                return StockList::line($this->media($upload['media']), 0) + ['already' => true];
            }
            if ($upload['received'] !== $upload['bytes']) {
                throw Conflict::because('stock.upload_elsewhere', ['received' => $upload['received']]);
            }
            $whole = FileWriter::temporary($upload['bytes']);
            try {
                if ($this->uploads->join($id, $whole) !== $upload['bytes']) {
                    throw new \RuntimeException("Parts of the upload $id are not there.");
                }
                $media = ($this->add)(
                    $this->site($upload)->slug,
                    $whole,
                    $upload['name'],
                    $person,
                    Uploads::sha256($upload['hashed']),
                );
            } finally {
                unlink($whole);
            }
            $this->uploads->became($id, (string) $media['id']);

            return $media;
        });
        $this->uploads->dropParts($id);

        return $media;
    }

    /** @throws Absent */
    public function giveUp(string $id, Person $person): void
    {
        $this->uploads->end($this->upload($id, $person)['id']);
    }

    /**
     * @return Row
     *
     * @throws Absent
     */
    private function upload(string $id, Person $person, bool $lock = false): array
    {
        $upload = $this->uploads->find($id, (int) $person->id, $lock) ?? throw Absent::named('upload');
        $this->gate->demand($person, Right::Fill, $this->site($upload));

        return $upload;
    }

    /** @throws Absent */
    private function media(string $id): Media
    {
        return $this->entities->find(Media::class, $id) ?? throw Absent::named('medium');
    }

    /** @param Row $upload */
    private function site(array $upload): Site
    {
        return $this->sites->byId($upload['site']) ?? throw Absent::named('site');
    }
}
