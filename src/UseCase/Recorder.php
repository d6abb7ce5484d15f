<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase;

use Doctrine\DBAL\Connection;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;

/** Writes who did what and when. Edits of designs are recorded by their revisions; this is for everything else. */
final readonly class Recorder
{
    public function __construct(private Connection $database, private ShiftedClock $clock)
    {
    }

    /** @param array<string, mixed> $detail */
    public function record(?Person $person, string $action, string $subject, array $detail = []): void
    {
        $this->database->insert('audit', [
            'at_ms' => $this->clock->nowMs(),
            'person_id' => $person?->id,
            'action' => $action,
            'subject' => $subject,
            'detail' => json_encode((object) $detail, \JSON_THROW_ON_ERROR),
        ]);
    }
}
