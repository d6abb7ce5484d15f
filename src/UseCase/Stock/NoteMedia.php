<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Stock;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\References;
use UpperPane\App\Repository\Sites;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Picture\MediaNotes;
use UpperPane\Core\Site\Right;

/** What people note of a medium. Taken back by the notes that were there before. */
final readonly class NoteMedia
{
    public function __construct(
        private EntityManagerInterface $entities,
        private References $references,
        private Sites $sites,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws Conflict `stock.noted` with both versions
     * @throws Refusal  `time.day`
     */
    public function __invoke(string $id, Input $input, Person $person): array
    {
        $input->keys(['seen', 'notes']);
        $media = $this->entities->find(Media::class, $id) ?? throw Absent::named('medium');
        $this->gate->demand($person, Right::Fill, $media->site);
        [$seen, $notes] = [MediaNotes::parse($input->child('seen')), MediaNotes::parse($input->child('notes'))];

        return $this->entities->wrapInTransaction(function () use ($media, $seen, $notes, $person): array {
            $this->sites->lock($media->site);
            $this->entities->refresh($media);
            $was = $media->notes()->toArray();
            if ($was !== $seen->toArray() && $was !== $notes->toArray()) {
                throw Conflict::because('stock.noted', ['name' => $media->name], [
                    'theirs' => $was,
                    'yours' => $notes->toArray(),
                ]);
            }
            $media->notes = $notes->toArray();
            $this->recorder->record($person, 'stock.note', $media->id, ['from' => $was, 'to' => $notes->toArray()]);

            return StockList::line($media, count($this->references->users($media)));
        });
    }
}
