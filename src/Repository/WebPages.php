<?php

declare(strict_types=1);

namespace UpperPane\App\Repository;

use Doctrine\DBAL\Connection;
use Symfony\Component\HttpFoundation\RequestStack;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\Core\Web\WebFacts;
use UpperPane\Core\Web\WebShelf;
use UpperPane\Core\Web\WebState;

/**
 * What is known of pages that fills show, by the sum of their addresses. `origin` is that of the page that somebody
 * worked on when the address came: headers may name it.
 */
final class WebPages implements WebShelf
{
    private const LONGEST_ORIGIN = 120;

    /** @var array<string, ?WebFacts> */
    private array $known = [];

    public function __construct(
        private readonly Connection $database,
        private readonly RequestStack $requests,
    ) {
    }

    public function find(string $address): ?WebFacts
    {
        if (!array_key_exists($address, $this->known)) {
            $row = $this->database->fetchAssociative('SELECT state, said FROM web_page WHERE sum = ?', [
                self::sum($address),
            ]);
            $this->known[$address] = $row === false
                ? null
                : new WebFacts(WebState::from($row['state']), $row['said']);
        }

        return $this->known[$address];
    }

    /** @return bool whether nobody asked for it before */
    public function want(string $address): bool
    {
        $said = $this->requests->getCurrentRequest()?->getSchemeAndHttpHost() ?? '';
        $origin = strlen($said) > self::LONGEST_ORIGIN ? '' : $said;
        $now = (new ShiftedClock())->nowMs();
        unset($this->known[$address]);

        return $this->database->executeStatement(
            'INSERT INTO web_page (sum, address, origin, state, said, wanted_ms, looked_ms) VALUES (?, ?, ?, ?, ?, ?, 0) '.
                'ON DUPLICATE KEY UPDATE wanted_ms = VALUES(wanted_ms)',
            [self::sum($address), $address, $origin, WebState::Waiting->value, '', $now],
        ) === 1;
    }

    /** @return ?array{origin: string, looked_ms: int} */
    public function row(string $address): ?array
    {
        $row = $this->database->fetchAssociative('SELECT origin, looked_ms FROM web_page WHERE sum = ?', [
            self::sum($address),
        ]);

        return $row === false ? null : ['origin' => $row['origin'], 'looked_ms' => (int) $row['looked_ms']];
    }

    public function found(string $address, WebFacts $facts): void
    {
        $this->database->update(
            'web_page',
            ['state' => $facts->state->value, 'said' => $facts->said, 'looked_ms' => (new ShiftedClock())->nowMs()],
            ['sum' => self::sum($address)],
        );
    }

    /** @return list<string> addresses that were last looked at before then, oldest first */
    public function lookedBefore(int $ms, int $most): array
    {
        return array_map(strval(...), $this->database->fetchFirstColumn(
            'SELECT address FROM web_page WHERE looked_ms < ? ORDER BY looked_ms LIMIT '.$most,
            [$ms],
        ));
    }

    private static function sum(string $address): string
    {
        return hash('sha256', $address);
    }
}
