<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\DesignRow;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Reference;
use UpperPane\App\Entity\Revision;
use UpperPane\App\Entity\SceneRow;
use UpperPane\App\UseCase\Absent;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Command\Batch;
use UpperPane\Core\Document\Command\BatchResult;
use UpperPane\Core\Document\Design;

/** Loads designs, and stores each batch as a revision. */
final readonly class DesignStore
{
    /** A whole copy of the design is kept on every so many revisions, so that any of them can be rebuilt in few steps. */
    public const KEYFRAME_EVERY = 64;

    public function __construct(private EntityManagerInterface $entities, private ShiftedClock $clock)
    {
    }

    /** @throws Absent */
    public function load(string $id, bool $lock = false): LoadedDesign
    {
        $row = $this->entities->find(DesignRow::class, $id, $lock ? LockMode::PESSIMISTIC_WRITE : null) ?? throw Absent::named('design');
        $scenes = $this->entities->getRepository(SceneRow::class)->findBy(['design' => $row], ['position' => 'ASC']);
        $documents = [];
        foreach ($scenes as $scene) {
            $documents[$scene->scene] = $scene->document;
        }

        return new LoadedDesign($row, $scenes, Design::parse(Input::of($row->head + ['scenes' => $documents]), true));
    }

    public function add(DesignRow $row, Design $design): void
    {
        $this->entities->persist($row);
        $position = 0;
        foreach ($design->scenes as $scene) {
            $this->entities->persist(new SceneRow($row, $scene->id, $position++, $scene->toArray()));
        }
    }

    /** The design as it was after a revision: from the head, or the next whole copy, back through the inverses. */
    public function at(LoadedDesign $loaded, int $revision): Design
    {
        if ($revision === $loaded->row->revision) {
            return $loaded->document;
        }
        /** @var list<Revision> $later oldest first */
        $later = $this->entities->createQuery('SELECT r FROM '.Revision::class.' r WHERE r.design = :design AND r.number > :number AND r.number <= :most ORDER BY r.number')
            ->setParameters(['design' => $loaded->row, 'number' => $revision, 'most' => $revision + self::KEYFRAME_EVERY])->getResult();
        $design = $loaded->document;
        $steps = [];
        foreach ($later as $step) {
            array_unshift($steps, $step);
            if ($step->keyframe !== null) {
                $design = Design::parse(Input::of($step->keyframe));
                break;
            }
        }
        foreach ($steps as $step) {
            $design = Batch::parse(Input::of($step->inverses))->apply($design)->after;
        }

        return $design;
    }

    public function store(LoadedDesign $loaded, string $batchId, Batch $batch, BatchResult $result, Person $author, string $kind): Revision
    {
        $row = $loaded->row;
        ++$row->revision;
        $row->head = $result->after->headArray();
        $row->name = $result->after->name;
        $row->changedAt = $this->clock->now();
        $row->changedBy = $author;
        foreach ($loaded->scenes as $scene) {
            $document = $result->after->scene($scene->scene);
            if ($document !== $loaded->document->scene($scene->scene)) {
                $scene->document = $document->toArray();
            }
        }
        $revision = new Revision(
            $row, $row->revision, $batchId, $author, $this->clock->now(), $kind, implode(', ', $batch->names()),
            $batch->toArray(), $result->inverse->toArray(), $result->patch, $result->reads, $result->writes,
        );
        if ($row->revision % self::KEYFRAME_EVERY === 0) {
            $revision->keyframe = $result->after->toArray();
        }
        $this->entities->persist($revision);
        $this->refer($loaded, $result->after);

        return $revision;
    }

    private function refer(LoadedDesign $loaded, Design $after): void
    {
        $now = $after->mediaIds();
        $before = $loaded->document->mediaIds();
        foreach (array_diff($now, $before) as $media) {
            $this->entities->persist(new Reference($loaded->row, $media));
        }
        foreach (array_diff($before, $now) as $media) {
            $gone = $this->entities->find(Reference::class, ['design' => $loaded->row->id, 'media' => $media]);
            $gone === null || $this->entities->remove($gone);
        }
    }
}
