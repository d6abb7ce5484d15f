<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\DBAL\Connection;
use Symfony\Component\Uid\Uuid;
use UpperPane\App\Adapter\FileKind;
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
        Room::demand((int) disk_free_space($this->varDir), 2 * $bytes);
        $id = Uuid::v7()->toRfc4122();
        $this->uploads->begin($id, (int) $site->id, (int) $person->id, mb_substr($name, 0, 250), $bytes);

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
     */
    public function take(string $id, int $from, mixed $part, Person $person): int
    {
        return $this->database->transactional(function () use ($id, $from, $part, $person): int {
            $upload = $this->upload($id, $person, true);
            if ($from !== $upload['received']) {
                throw Conflict::because('stock.upload_elsewhere', ['received' => $upload['received']]);
            }
            $held = tmpfile() ?: throw new \RuntimeException('There is no room for a part.');
            $bytes = (int) stream_copy_to_stream($part, $held, self::MOST_PART_BYTES + 1);
            if ($bytes < 1 || $bytes > min(self::MOST_PART_BYTES, $upload['bytes'] - $from)) {
                throw Refusal::because('stock.part', '/', [
                    'bytes' => $bytes,
                    'most' => min(self::MOST_PART_BYTES, $upload['bytes'] - $from),
                ]);
            }
            if ($from === 0) {
                // What the Stock does not take is refused before all of it is sent.
                FileKind::demand(stream_get_meta_data($held)['uri'] ?? '', $upload['name'], AddMedia::KINDS);
            }
            rewind($held);
            $this->uploads->take($id, $from, $held, $bytes);

            return $from + $bytes;
        });
    }

    /**
     * @return array<string, mixed> the medium
     *
     * @throws Absent
     * @throws Conflict `stock.upload_elsewhere` while a part of it is missing
     */
    public function done(string $id, Person $person): array
    {
        $upload = $this->upload($id, $person);
        if ($upload['received'] !== $upload['bytes']) {
            throw Conflict::because('stock.upload_elsewhere', ['received' => $upload['received']]);
        }
        $whole = (string) tempnam(sys_get_temp_dir(), 'pane');
        try {
            $this->uploads->join($id, $whole);
            $media = ($this->add)($this->site($upload)->slug, $whole, $upload['name'], $person);
        } finally {
            unlink($whole);
        }
        $this->uploads->end($id);

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

    /** @param Row $upload */
    private function site(array $upload): Site
    {
        return $this->sites->byId($upload['site']) ?? throw Absent::named('site');
    }
}
