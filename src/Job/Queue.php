<?php

declare(strict_types=1);

namespace UpperPane\App\Job;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\TransactionIsolationLevel;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\Core\Base\Refusal;

/**
 * The job table: claimed with SKIP LOCKED in a short transaction that sets worker, lease and attempt. A lease that runs
 * out (its worker was killed) is claimed again; an end is written only by the attempt that holds the job.
 */
final readonly class Queue
{
    public const LEASE_MS = 30_000;
    public const MOST_ATTEMPTS = 5;
    private const ROOM_MS = 20_000;

    public function __construct(private Connection $database, private string $table = 'job')
    {
    }

    /** @param array<string, mixed> $payload */
    public function add(string $kind, array $payload, Lane $lane = Lane::Soon): void
    {
        $this->database->insert($this->table, [
            'kind' => $kind,
            'lane' => $lane->value,
            'payload' => json_encode($payload, \JSON_THROW_ON_ERROR),
            'state' => 'waiting',
            'due_ms' => self::nowMs(),
        ]);
    }

    /**
     * The next job that waits, or whose worker was lost. One that comes with more than {@see MOST_ATTEMPTS} was lost
     * each time: it is to be given up.
     *
     * @param list<Lane> $lanes those that the worker serves, the first first
     *
     * @phpstan-impure
     */
    public function claim(string $worker, array $lanes = [Lane::Now, Lane::Soon, Lane::Long]): ?Claimed
    {
        foreach ($lanes as $lane) {
            $claimed = $this->claimOf($lane, $worker);
            if ($claimed !== null) {
                return $claimed;
            }
        }

        return null;
    }

    /** @return array<string, array{count: int, oldest_ms: ?int}> by lane, what is due and waits, and for how long */
    public function waits(): array
    {
        $now = self::nowMs();
        $waits = array_fill_keys(array_column(Lane::cases(), 'value'), ['count' => 0, 'oldest_ms' => null]);
        $rows = $this->database->fetchAllAssociative(
            "SELECT lane, COUNT(*) AS jobs, MIN(due_ms) AS since FROM {$this->table} ".
                "WHERE state = 'waiting' AND due_ms <= ? GROUP BY lane",
            [$now],
        );
        foreach ($rows as $row) {
            $waits[(string) $row['lane']] = ['count' => (int) $row['jobs'], 'oldest_ms' => $now - (int) $row['since']];
        }

        return $waits;
    }

    private function claimOf(Lane $lane, string $worker): ?Claimed
    {
        $this->database->setTransactionIsolation(TransactionIsolationLevel::READ_COMMITTED);

        return $this->database->transactional(function () use ($lane, $worker) {
            $row = $this->database->fetchAssociative(
                "SELECT id, kind, payload, attempt FROM {$this->table} WHERE lane = ? ".
                    "AND ((state = 'waiting' AND due_ms <= ?) OR (state = 'running' AND lease_ms < ?)) ORDER BY id ".
                    'LIMIT 1 FOR UPDATE SKIP LOCKED',
                [$lane->value, self::nowMs(), self::nowMs()],
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

    /** @throws LeaseLost when somebody else holds the job by now */
    public function heartbeat(Claimed $job): void
    {
        $this->end($job, 'state = ?, lease_ms = ?', ['running', self::nowMs() + self::LEASE_MS]);
    }

    /** @throws LeaseLost */
    public function finish(Claimed $job): void
    {
        $this->end($job, 'state = ?', ['done']);
    }

    /**
     * Tried again after a while that grows with each attempt.
     *
     * @throws LeaseLost
     */
    public function retry(Claimed $job, Refusal $why): void
    {
        $this->end($job, 'state = ?, due_ms = ?, fault = ?', [
            'waiting',
            self::nowMs() + 1000 * 2 ** $job->attempt,
            self::fault($why),
        ]);
    }

    /**
     * Tried again until there is room: that is no fault of the job, so the attempt does not count.
     *
     * @throws LeaseLost
     */
    public function postpone(Claimed $job, Refusal $why): void
    {
        $this->end($job, 'state = ?, due_ms = ?, attempt = ?, fault = ?', [
            'waiting',
            self::nowMs() + self::ROOM_MS,
            $job->attempt - 1,
            self::fault($why),
        ]);
    }

    /**
     * Not tried again; the row stays, with its reason.
     *
     * @throws LeaseLost
     */
    public function giveUp(Claimed $job, Refusal $why): void
    {
        $this->end($job, 'state = ?, fault = ?', ['failed', self::fault($why)]);
    }

    /** @param list<int|string> $values */
    private function end(Claimed $job, string $set, array $values): void
    {
        $held = $this->database->fetchOne(
            "SELECT id FROM {$this->table} WHERE id = ? AND attempt = ? AND state = 'running' FOR UPDATE",
            [$job->id, $job->attempt],
        );
        if ($held === false) {
            throw new LeaseLost("Job {$job->id} is held by another worker.");
        }
        $this->database->executeStatement("UPDATE {$this->table} SET $set WHERE id = ?", [...$values, $job->id]);
    }

    private static function fault(Refusal $why): string
    {
        return json_encode(['code' => $why->refusalCode, 'params' => $why->params], \JSON_THROW_ON_ERROR);
    }

    /** Leases run on real time: the demo's clock may stand still. */
    private static function nowMs(): int
    {
        return (new ShiftedClock())->nowMs();
    }
}
