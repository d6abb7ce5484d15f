<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Session;

use Doctrine\DBAL\Connection;
use UpperPane\App\Adapter\QuietSessionHandler;
use UpperPane\App\Entity\Person;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Recorder;

/** Where a person is signed in: listed for them, and ended by them. The session's own id is never shown. */
final readonly class Sessions
{
    public function __construct(private Connection $database, private Recorder $recorder)
    {
    }

    public function began(string $session, Person $person, Visitor $visitor): void
    {
        $this->database->executeStatement('DELETE FROM signed_in WHERE session NOT IN (SELECT sess_id FROM session)');
        $this->database->insert('signed_in', [
            'session' => QuietSessionHandler::kept($session),
            'name' => bin2hex(random_bytes(8)),
            'person_id' => $person->id,
            'address' => $visitor->address,
            'agent' => $visitor->agent,
            'since_s' => time(),
        ]);
    }

    /**
     * @return list<array{name: string, address: string, agent: string, since: string, seen: string, here: bool}> the
     *     last seen first; `here` is the one that asks
     */
    public function of(Person $person, string $current): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT i.name, i.address, i.agent, i.since_s, s.sess_time, i.session FROM signed_in i '.
                'JOIN session s ON s.sess_id = i.session WHERE i.person_id = ? AND s.sess_lifetime > ? '.
                'ORDER BY s.sess_time DESC, i.name',
            [$person->id, time()],
        );

        return array_map(
            static fn (array $row) => [
                'name' => (string) $row['name'],
                'address' => (string) $row['address'],
                'agent' => (string) $row['agent'],
                'since' => gmdate(\DATE_ATOM, (int) $row['since_s']),
                'seen' => gmdate(\DATE_ATOM, (int) $row['sess_time']),
                'here' => hash_equals(QuietSessionHandler::kept($current), (string) $row['session']),
            ],
            $rows,
        );
    }

    /** @throws Absent when it is not theirs, or over already */
    public function end(string $name, Person $person): void
    {
        $session = $this->database->fetchOne('SELECT session FROM signed_in WHERE name = ? AND person_id = ?', [
            $name,
            $person->id,
        ]);
        if ($session === false) {
            throw Absent::named('session');
        }
        $this->database->delete('session', ['sess_id' => $session]);
        $this->database->delete('signed_in', ['session' => $session]);
        $this->recorder->record($person, 'session.end', $name);
    }
}
