<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\References;
use UpperPane\App\Repository\Sites;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Site\Right;

/**
 * Puts another file, or one that it was before, in the place of a medium, wherever that is used. What it was is kept;
 * releases keep what they were made with.
 */
final readonly class ReplaceMedia
{
    public function __construct(
        private EntityManagerInterface $entities,
        private References $references,
        private Sites $sites,
        private ShiftedClock $clock,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /**
     * @param string $seen SHA-256 of what it was when this was asked
     * @param string $with id of another medium, or the SHA-256 of an earlier version
     *
     * @return array<string, mixed>
     *
     * @throws Conflict `stock.changed` with both versions
     * @throws Refusal  `stock.other_kind`, `stock.not_ready`, `stock.no_version`
     */
    public function __invoke(string $id, string $seen, string $with, Person $person): array
    {
        $media = $this->entities->find(Media::class, $id) ?? throw Absent::named('medium');
        $this->gate->demand($person, Right::Clear, $media->site);

        return $this->entities->wrapInTransaction(fn () => $this->replace($media, $seen, $with, $person));
    }

    /** @return array<string, mixed> */
    private function replace(Media $media, string $seen, string $with, Person $person): array
    {
        $this->sites->lock($media->site);
        $this->entities->refresh($media);
        if ($media->sha256 !== $seen) {
            throw Conflict::because('stock.changed', ['name' => $media->name], [
                'theirs' => ['sha256' => $media->sha256, 'name' => $media->name],
                'yours' => ['sha256' => $seen],
            ]);
        }
        $other = $this->entities->find(Media::class, $with);
        $other = $other?->site === $media->site && $other !== $media ? $other : null;
        $content = $other?->content() ?? $this->earlier($media, $with);
        if ($other !== null && $other->state !== Media::READY) {
            throw Refusal::because('stock.not_ready', '/with', ['name' => $other->name]);
        }
        $kind = Media::kindOf((string) $content['mime']);
        if ($media->isFont() || $kind !== $media->kind()) {
            throw Refusal::because('stock.other_kind', '/with', [
                'name' => (string) $content['name'],
                'kind' => $media->kind(),
            ]);
        }
        $was = $media->sha256;
        $media->hold($content, $this->clock->now(), $person->name);
        if ($other !== null && $this->references->users($other) === []) {
            $this->entities->remove($other);
        }
        $this->entities->flush();
        $this->recorder->record($person, 'stock.replace', $media->id, ['from' => $was, 'to' => $media->sha256]);

        return StockList::line($media, count($this->references->users($media)));
    }

    /** @return array<string, mixed> */
    private function earlier(Media $media, string $sha256): array
    {
        $found = array_values(
            array_filter($media->earlier, static fn (array $one) => $one['sha256'] === $sha256),
        );

        return $found[0] ?? throw Refusal::because('stock.no_version', '/with', ['name' => $media->name]);
    }
}
