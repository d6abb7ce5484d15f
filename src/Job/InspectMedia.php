<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemOperator;
use Symfony\Component\Uid\Uuid;
use UpperPane\App\Adapter\AlphaReader;
use UpperPane\App\Adapter\FileWriter;
use UpperPane\App\Adapter\FontLooker;
use UpperPane\App\Adapter\LightReader;
use UpperPane\App\Adapter\MediaConverter;
use UpperPane\App\Adapter\MediaFiles;
use UpperPane\App\Adapter\MediaProbe;
use UpperPane\App\Adapter\NoRoom;
use UpperPane\App\Adapter\PageBundler;
use UpperPane\App\Adapter\PageDrawer;
use UpperPane\App\Adapter\Thumbnailer;
use UpperPane\App\Entity\Media;
use UpperPane\App\Repository\FontShelf;
use UpperPane\App\Repository\Lights;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Picture\CutOut;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Picture\Opening;
use UpperPane\Core\Picture\Room;

/**
 * Looks at a new file of the Stock: px, duration, thumbnail, how light it is; makes something that players can show of
 * what they cannot; or says why it cannot be used.
 *
 * @phpstan-import-type Facts from MediaProbe
 */
final readonly class InspectMedia implements Handler
{
    public const KIND = 'media.inspect';

    public function __construct(
        private EntityManagerInterface $entities,
        private FilesystemOperator $files,
        private FileWriter $writer,
        private MediaProbe $probe,
        private Thumbnailer $thumbnailer,
        private MediaConverter $converter,
        private AlphaReader $alpha,
        private LightReader $light,
        private Lights $lights,
        private FontLooker $fonts,
        private PageBundler $pages,
        private FontShelf $shelf,
        private PageDrawer $drawer,
        private Queue $queue,
        private string $varDir,
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
        // Open to the programs that look at it or write it, which run as nobody.
        $local = FileWriter::temporary($media->bytes, 0o644);
        $made = null;
        try {
            $made = FileWriter::temporary($media->bytes, 0o666);
            $this->fetch($media, $local);
            match (true) {
                $media->isPage() => $this->page($media, $local, $made),
                $media->isFont() => $this->font($media, $local),
                default => $this->seen($media, $local, $made, (int) ($payload['page'] ?? 1)),
            };
            $media->state = Media::READY;
            $media->fault = null;
        } catch (Refusal $refusal) {
            // A program that had no room says only that it failed.
            $media->fail(FileWriter::isFull() ? throw NoRoom::at(sys_get_temp_dir(), $media->bytes) : $refusal);
        } finally {
            unlink($local);
            $made === null || unlink($made);
        }
    }

    private function fetch(Media $media, string $local): void
    {
        $stream = $this->files->readStream(MediaFiles::original($media->sha256));
        ['sha256' => $sha256] = FileWriter::write($local, $stream);
        fclose($stream);
        if ($sha256 !== $media->sha256) {
            throw new \RuntimeException("The file $media->sha256 is not what it was.");
        }
    }

    /** Pictures and faces take seconds; what is played, unpacked or drawn may take minutes. */
    public static function lane(string $mime): Lane
    {
        return (str_starts_with($mime, 'image/') && !PageDrawer::draws($mime)) || str_starts_with($mime, 'font/')
            ? Lane::Soon
            : Lane::Long;
    }

    private function seen(Media $media, string $local, string $made, int $page): void
    {
        [$shown, $facts] = PageDrawer::draws($media->mime)
            ? $this->drawn($media, $local, $made, $page)
            : $this->played($media, $local, $made);
        $thumbnail = $this->thumbnailer->make($shown, $media->mime);
        $this->files->write(MediaFiles::thumbnail($media->sha256), $thumbnail);
        $this->lights->keep(
            $media->sha256,
            $this->light->read($shown, $media->mime, $facts['size'], $facts['duration_ms'], $thumbnail),
        );
        [$media->width, $media->height] = $facts['size']->toArray();
        $media->durationMs = $facts['duration_ms'];
        // Of what was uploaded, as long as that is known.
        $media->depth ??= $facts['depth'];
        $media->alpha = $facts['alpha'];
        $media->openings = $facts['alpha'] && $facts['duration_ms'] === null ? $this->openings($shown) : null;
    }

    /** One HTML file of all that the archive holds; a second look finds it made. */
    private function page(Media $media, string $local, string $made): void
    {
        if ($media->mime !== MediaFacts::PAGE) {
            FileWriter::write($made, $this->pages->bundled($local));
            $this->keep($media, $made, MediaFacts::PAGE, ['codec' => 'ZIP', 'why' => ['bundled']]);
        }
        $this->files->write(MediaFiles::thumbnail($media->sha256), $this->thumbnailer->card('HTML'));
    }

    /** @throws Refusal `stock.font_known` for a face that there is already */
    private function font(Media $media, string $local): void
    {
        $facts = $this->fonts->look($local);
        foreach ($this->shelf->of((int) $media->site->id)->manifest() as $face) {
            if (
                [$face['family'], $face['weight']] === [$facts['family'], $facts['weight']]
                && $face['sha256'] !== $media->sha256
            ) {
                throw Refusal::because('stock.font_known', '/file', [
                    'family' => $face['family'],
                    'weight' => $face['weight'],
                ]);
            }
        }
        $this->files->write(MediaFiles::thumbnail($media->sha256), $this->fonts->card($local));
        $media->font = $facts;
    }

    /** @return array{string, Facts} where it lies as players get it, and what is known of that */
    private function played(Media $media, string $local, string $made): array
    {
        if (str_starts_with($media->mime, 'audio/')) {
            $this->converter->sound($local, $media->mime, $made);
            $this->keep($media, $made, 'video/mp4', ['codec' => substr($media->mime, 6), 'why' => ['sound']]);

            return [$made, $this->probe->look($made, 'video/mp4')];
        }
        $facts = $this->probe->look($local, $media->mime);
        $media->depth ??= $facts['depth'];
        if ($facts['why'] === []) {
            return [$local, $facts];
        }
        if ((int) disk_free_space($this->varDir) - $media->bytes < Room::KEPT_BYTES) {
            throw NoRoom::at($this->varDir, $media->bytes);
        }
        FileWriter::demandRoom($media->bytes);
        $mime = $this->converter->convert($local, $media->mime, $made, $facts);
        $this->keep($media, $made, $mime, $facts);

        return [$made, $this->probe->look($made, $mime)];
    }

    /**
     * A page becomes a picture; with the first one, the others become media of their own.
     *
     * @return array{string, Facts}
     */
    private function drawn(Media $media, string $local, string $made, int $page): array
    {
        [$bytes, $mime] = [(string) file_get_contents($local), $media->mime];
        FileWriter::write($made, $this->drawer->draw($bytes, $mime, $page));
        $pages = $page === 1 ? $this->drawer->pages($bytes, $mime) : 1;
        for ($more = 2; $more <= $pages; ++$more) {
            $this->addPage($media, $more);
        }
        $this->keep($media, $made, 'image/png', [
            'codec' => $mime === 'application/pdf' ? "PDF, page $page" : 'SVG',
            'why' => ['drawn'],
        ]);

        return [$made, $this->probe->look($made, 'image/png')];
    }

    /** With its job, and under a name that a second look at the first page finds again. */
    private function addPage(Media $first, int $page): void
    {
        $id = Uuid::v5(Uuid::fromString($first->id), "page $page")->toRfc4122();
        if ($this->entities->find(Media::class, $id) === null) {
            $this->entities->wrapInTransaction(function () use ($first, $id, $page): void {
                $this->entities->persist($first->another($id, mb_substr($first->name, 0, 230)." ($page)"));
                $this->queue->add(self::KIND, ['media' => $id, 'page' => $page], Lane::Long);
            });
        }
    }

    /** @return list<array<string, mixed>> */
    private function openings(string $path): array
    {
        [$size, $alpha] = $this->alpha->read((string) file_get_contents($path));

        return array_map(
            static fn (Opening $opening) => $opening->toArray(),
            CutOut::offered($size, CutOut::of($size, $alpha)),
        );
    }

    /** @param array{codec: string, why: list<string>} $facts */
    private function keep(Media $media, string $made, string $mime, array $facts): void
    {
        clearstatcache(true, $made);
        [$sha256, $bytes] = [(string) hash_file('sha256', $made), (int) filesize($made)];
        $this->writer->store($made, MediaFiles::original($sha256), $bytes, $sha256);
        $media->becomes($sha256, $mime, $bytes, $facts);
    }

    public function giveUp(array $payload, int $attempts): void
    {
        $this->entities
            ->find(Media::class, $payload['media'])
            ?->fail(Refusal::because('stock.given_up', '/file', ['attempts' => $attempts]));
    }
}
