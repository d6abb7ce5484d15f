<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Session;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;
use UpperPane\Core\Site\Patience;

/**
 * Checks a password. Wrong ones are counted on the person that was found, or on the words where nobody was, so that
 * both look alike; a browser its person has signed in with before has a count of its own, so that a stranger cannot
 * lock them out; and all of one address of the network together.
 */
final readonly class SignIn
{
    private const MOST_BROWSERS = 20;

    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $database,
        private PasswordHasherFactoryInterface $hashers,
    ) {
    }

    /**
     * @return Person|int who it is; 0 when it is nobody, or the password is not theirs; else the ms that are to wait
     */
    public function __invoke(string $email, string $password, Visitor $visitor): Person|int
    {
        $email = mb_strtolower(mb_scrub($email));
        $person = $this->entities->getRepository(Person::class)->findOneBy(['email' => $email]);
        $counts = [
            [$this->whose($person, $email, $visitor), Patience::withPerson()],
            [self::key('address', $visitor->address), Patience::withAddress()],
        ];
        $waitMs = max(array_map(fn (array $count) => $this->waitMs(...$count), $counts));
        if ($waitMs > 0) {
            return $waitMs;
        }
        $hasher = $this->hashers->getPasswordHasher(Person::class);
        $right = $hasher->verify($person->passwordHash ?? self::decoy(), $password);
        if ($person === null || !$right) {
            foreach ($counts as [$key]) {
                $this->database->insert('sign_in_attempt', ['who' => $key, 'at_ms' => self::nowMs()]);
            }
            $this->database->executeStatement('DELETE FROM sign_in_attempt WHERE at_ms < ?', [
                self::nowMs() - Patience::WINDOW_MS,
            ]);

            return 0;
        }
        $this->database->delete('sign_in_attempt', ['who' => $counts[0][0]]);

        return $person;
    }

    /** @return string the token by which this browser is known from now on */
    public function remember(Person $person, Visitor $visitor): string
    {
        $token = $visitor->browser === '' ? bin2hex(random_bytes(24)) : $visitor->browser;
        $this->database->executeStatement(
            'INSERT INTO known_browser (token_hash, person_id, seen_ms) VALUES (?, ?, ?) '.
                'ON DUPLICATE KEY UPDATE seen_ms = VALUES(seen_ms)',
            [hash('sha256', $token), $person->id, self::nowMs()],
        );
        $oldest = $this->database->fetchOne(
            'SELECT seen_ms FROM known_browser WHERE person_id = ? ORDER BY seen_ms DESC LIMIT 1 OFFSET '.
                self::MOST_BROWSERS,
            [$person->id],
        );
        if ($oldest !== false) {
            $this->database->executeStatement('DELETE FROM known_browser WHERE person_id = ? AND seen_ms <= ?', [
                $person->id,
                $oldest,
            ]);
        }

        return $token;
    }

    private function whose(?Person $person, string $email, Visitor $visitor): string
    {
        if ($person === null) {
            return self::key('words', $email);
        }
        $known =
            $visitor->browser !== ''
            && $this->database->fetchOne('SELECT 1 FROM known_browser WHERE token_hash = ? AND person_id = ?', [
                hash('sha256', $visitor->browser),
                $person->id,
            ]) !== false;

        return $known ? self::key('browser', $visitor->browser) : self::key('person', (string) $person->id);
    }

    private function waitMs(string $key, Patience $patience): int
    {
        [$wrong, $last] = $this->database->fetchNumeric(
            'SELECT COUNT(*), MAX(at_ms) FROM sign_in_attempt WHERE who = ? AND at_ms > ?',
            [$key, self::nowMs() - Patience::WINDOW_MS],
        ) ?: [0, 0];

        return $patience->waitMs((int) $wrong, (int) $last, self::nowMs());
    }

    private static function key(string $kind, string $of): string
    {
        return hash('sha256', "$kind $of");
    }

    /** A hash of the same cost as a real one, for people who are not there. */
    private static function decoy(): string
    {
        return '$2y$11$7EqJtq98hPqEX7fNZaFWoOhi5vJ8Q5v3s0b0vQ8Y2Gg2y8N6cTz1u';
    }

    /** Waiting runs on real time: the demo's clock may stand still. */
    private static function nowMs(): int
    {
        return (new ShiftedClock())->nowMs();
    }
}
