<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Session;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\Person;

/**
 * Checks a password; after several wrong ones for an address it waits, longer each time, whether the address is known
 * or not.
 */
final readonly class SignIn
{
    private const FREE_TRIES = 5;
    private const WINDOW_MS = 900_000;
    private const LONGEST_WAIT_S = 300;

    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $database,
        private PasswordHasherFactoryInterface $hashers,
    ) {
    }

    public function waitSeconds(string $email): int
    {
        [$count, $last] = $this->database->fetchNumeric(
            'SELECT COUNT(*), MAX(at_ms) FROM sign_in_attempt WHERE who = ? AND at_ms > ?',
            [self::who($email), self::nowMs() - self::WINDOW_MS],
        ) ?: [0, 0];
        if ($count < self::FREE_TRIES) {
            return 0;
        }
        $wait = min(self::LONGEST_WAIT_S, 10 * 2 ** ($count - self::FREE_TRIES));

        return max(0, (int) ceil(((int) $last + $wait * 1000 - self::nowMs()) / 1000));
    }

    public function verify(string $email, string $password): ?Person
    {
        $person = $this->entities->getRepository(Person::class)->findOneBy(['email' => $email]);
        $hasher = $this->hashers->getPasswordHasher(Person::class);
        $right = $hasher->verify($person->passwordHash ?? self::decoy(), $password);
        if ($person === null || !$right) {
            $this->database->insert('sign_in_attempt', ['who' => self::who($email), 'at_ms' => self::nowMs()]);

            return null;
        }
        $this->database->delete('sign_in_attempt', ['who' => self::who($email)]);

        return $person;
    }

    /** A hash of the same cost as a real one, for people who are not there. */
    private static function decoy(): string
    {
        return '$2y$11$7EqJtq98hPqEX7fNZaFWoOhi5vJ8Q5v3s0b0vQ8Y2Gg2y8N6cTz1u';
    }

    private static function who(string $email): string
    {
        return hash('sha256', mb_strtolower($email));
    }

    /** Waiting runs on real time: the demo's clock may stand still. */
    private static function nowMs(): int
    {
        return (new ShiftedClock())->nowMs();
    }
}
