<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\DriverManager;
use PHPUnit\Framework\TestCase;
use UpperPane\App\Job\LeaseLost;
use UpperPane\App\Job\Queue;
use UpperPane\Core\Base\Refusal;

/**
 * The job table with two workers on connections of their own: no job is done twice, a killed worker's job is taken up
 * again.
 */
final class QueueTest extends TestCase
{
    private Connection $one;
    private Connection $other;

    protected function setUp(): void
    {
        $parameters = (new \Doctrine\DBAL\Tools\DsnParser(['mysql' => 'pdo_mysql']))->parse(
            (string) getenv('UPPER_PANE_DATABASE'),
        );
        [$this->one, $this->other] = [
            DriverManager::getConnection($parameters),
            DriverManager::getConnection($parameters),
        ];
        // A table of its own: the running worker would take these jobs otherwise.
        $this->one->executeStatement('DROP TABLE IF EXISTS job_probe');
        $this->one->executeStatement('CREATE TABLE job_probe LIKE job');
    }

    protected function tearDown(): void
    {
        $this->one->executeStatement('DROP TABLE job_probe');
    }

    /** What is due waits, since it was due; what is held, done or not due yet does not. */
    public function testSaysWhatWaitsInEachLane(): void
    {
        $add = fn (string $lane, string $state, int $sinceMs) => $this->one->insert('job_probe', [
            'kind' => 'test',
            'lane' => $lane,
            'payload' => '{}',
            'state' => $state,
            'due_ms' => (int) (microtime(true) * 1000) - $sinceMs,
        ]);
        $add('now', 'running', 9000);
        $add('now', 'waiting', -60_000);
        $add('soon', 'waiting', 90_000);
        $add('soon', 'waiting', 1000);
        $add('soon', 'done', 900_000);
        $waits = (new Queue($this->one, 'job_probe'))->waits();

        self::assertSame(
            ['now' => 0, 'soon' => 2, 'long' => 0],
            array_map(static fn (array $lane) => $lane['count'], $waits),
        );
        self::assertNull($waits['now']['oldest_ms']);
        self::assertEqualsWithDelta(90_000, $waits['soon']['oldest_ms'], 5000);
    }

    public function testAJobHeldByOneWorkerIsSkippedByTheOtherUntilItsLeaseRunsOut(): void
    {
        $this->one->insert('job_probe', [
            'kind' => 'test',
            'payload' => '{"n":1}',
            'state' => 'waiting',
            'due_ms' => 0,
        ]);
        $first = (new Queue($this->one, 'job_probe'))->claim('one');
        self::assertSame(['test', 1, ['n' => 1]], [$first?->kind, $first?->attempt, $first?->payload]);
        self::assertNull((new Queue($this->other, 'job_probe'))->claim('other'));

        $this->one->executeStatement("UPDATE job_probe SET lease_ms = 0 WHERE kind = 'test'");
        $second = (new Queue($this->other, 'job_probe'))->claim('other');
        self::assertSame([$first?->id, 2], [$second?->id, $second?->attempt]);
        self::assertNotNull($first);
        self::assertNotNull($second);
        try {
            (new Queue($this->one, 'job_probe'))->finish($first);
            self::fail('a lost worker finished it');
        } catch (LeaseLost) {
        }
        self::assertSame('running', $this->state(), 'the lost worker’s word does not count any more');
        (new Queue($this->other, 'job_probe'))->finish($second);
        self::assertSame('done', $this->state());
    }

    public function testAFailingJobWaitsLongerEachTimeAndIsGivenUpWithItsReason(): void
    {
        $this->one->insert('job_probe', ['kind' => 'test', 'payload' => '{}', 'state' => 'waiting', 'due_ms' => 0]);
        $queue = new Queue($this->one, 'job_probe');
        $why = Refusal::because('job.fault', '', ['what' => 'broken']);
        $due = 0;
        for ($attempt = 1; $attempt <= Queue::MOST_ATTEMPTS; ++$attempt) {
            $this->one->executeStatement("UPDATE job_probe SET due_ms = 0 WHERE kind = 'test'");
            $job = $queue->claim('one');
            self::assertNotNull($job);
            self::assertSame($attempt === Queue::MOST_ATTEMPTS, $job->isLast());
            if ($job->isLast()) {
                $queue->giveUp($job, $why);
            } else {
                $queue->retry($job, $why);
                self::assertNull($queue->claim('one'), 'it is not due yet');
                $next = (int) $this->one->fetchOne('SELECT due_ms FROM job_probe');
                self::assertGreaterThan($due, $next);
                $due = $next;
            }
        }
        self::assertSame('failed', $this->state());
        self::assertNull($queue->claim('one'));
        self::assertSame(
            ['code' => 'job.fault', 'params' => ['what' => 'broken']],
            json_decode((string) $this->one->fetchOne('SELECT fault FROM job_probe'), true),
        );
    }

    private function state(): string
    {
        return (string) $this->one->fetchOne("SELECT state FROM job_probe WHERE kind = 'test'");
    }
}
