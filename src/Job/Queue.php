<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\TransactionIsolationLevel;
use UpperPane\App\Adapter\ShiftedClock;

/**
 * The job table: claimed with SKIP LOCKED in a short transaction that sets worker, lease and attempt. A lease that runs
 * out (its worker was killed) is claimed again; an end is written only by the attempt that holds the job.
 */
final readonly class Queue
{
    public const LEASE_MS = 30_000;
    public const MOST_ATTEMPTS = 5;

    public function __construct(private Connection $database, private string $table = 'job')
    {
    }

    /** @param array<string, mixed> $payload */
    public function add(string $kind, array $payload): void
    {
        $this->database->insert($this->table, [
            'kind' => $kind,
            'payload' => json_encode($payload, \JSON_THROW_ON_ERROR),
            'state' => 'waiting',
            'due_ms' => self::nowMs(),
        ]);
    }

    /** @phpstan-impure */
    public function claim(string $worker): ?Claimed
    {
        $this->database->setTransactionIsolation(TransactionIsolationLevel::READ_COMMITTED);

        return $this->database->transactional(function () use ($worker) {
            $row = $this->database->fetchAssociative(
                "SELECT id, kind, payload, attempt FROM {$this->table} ".
                    "WHERE (state = 'waiting' AND due_ms <= ?) OR (state = 'running' AND lease_ms < ?) ORDER BY id ".
                    'LIMIT 1 FOR UPDATE SKIP LOCKED',
                [self::nowMs(), self::nowMs()],
            );
            if ($row === false) {
                return null;
            }
            $claimed = new Claimed(
                (int) $row['id'],
                (string) $row['kind'],
                json_decode((string) $row['payload'], true),
                (int) $row['attempt'] + 1,
            );
            if ($claimed->attempt > self::MOST_ATTEMPTS) {
                $this->database->update(
                    $this->table,
                    ['state' => 'failed', 'fault' => 'Its worker was lost five times.'],
                    ['id' => $claimed->id],
                );

                return null;
            }
            $this->database->update(
                $this->table,
                [
                    'state' => 'running',
                    'worker' => $worker,
                    'attempt' => $claimed->attempt,
                    'lease_ms' => self::nowMs() + self::LEASE_MS,
                ],
                ['id' => $claimed->id],
            );

            return $claimed;
        });
    }

    public function heartbeat(Claimed $job): void
    {
        $this->database->executeStatement(
            "UPDATE {$this->table} SET lease_ms = ? WHERE id = ? AND attempt = ? AND state = 'running'",
            [self::nowMs() + self::LEASE_MS, $job->id, $job->attempt],
        );
    }

    public function finish(Claimed $job): void
    {
        $this->database->executeStatement(
            "UPDATE {$this->table} SET state = 'done' WHERE id = ? AND attempt = ? AND state = 'running'",
            [$job->id, $job->attempt],
        );
    }

    /** Tried again after a while that grows with each attempt; after the fifth it stays failed and is shown. */
    public function fail(Claimed $job, string $fault): void
    {
        $state = $job->attempt >= self::MOST_ATTEMPTS ? 'failed' : 'waiting';
        $this->database->executeStatement(
            "UPDATE {$this->table} SET state = ?, due_ms = ?, fault = ? ".
                "WHERE id = ? AND attempt = ? AND state = 'running'",
            [$state, self::nowMs() + 1000 * 2 ** $job->attempt, mb_substr($fault, 0, 500), $job->id, $job->attempt],
        );
    }

    /** Leases run on real time: the demo's clock may stand still. */
    private static function nowMs(): int
    {
        return (new ShiftedClock())->nowMs();
    }
}
