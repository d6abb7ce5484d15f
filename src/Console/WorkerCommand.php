<?php

declare(strict_types=1);

namespace UpperPane\App\Console;

use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\TaggedIterator;
use UpperPane\App\Job\Claimed;
use UpperPane\App\Job\Handler;
use UpperPane\App\Job\Queue;

/** Takes jobs from the table until it is told to stop. Any number may run, on any number of machines. */
#[AsCommand('app:worker', 'Does the waiting jobs: thumbnails, media facts.')]
final class WorkerCommand extends Command
{
    private bool $stopping = false;

    /** @param iterable<Handler> $handlers */
    public function __construct(
        private readonly Queue $queue,
        private readonly EntityManagerInterface $entities,
        #[TaggedIterator('upper_pane.job')] private readonly iterable $handlers,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('until-empty', null, InputOption::VALUE_NONE, 'Stop when nothing waits.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        foreach ([\SIGTERM, \SIGINT] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->stopping = true;
            });
        }
        pcntl_async_signals(true);
        $name = gethostname().'/'.getmypid();
        while (!$this->stopping) {
            $job = $this->claim($name);
            if ($job !== null) {
                $this->work($job, $output);
            } elseif ($input->getOption('until-empty')) {
                break;
            } else {
                usleep(250_000);
            }
        }

        return Command::SUCCESS;
    }

    /** Null when nothing waits, and also while the database is away: it will be back. */
    private function claim(string $name): ?Claimed
    {
        try {
            return $this->queue->claim($name);
        } catch (ConnectionException) {
            $this->entities->getConnection()->close();

            return null;
        }
    }

    private function work(Claimed $job, OutputInterface $output): void
    {
        try {
            foreach ($this->handlers as $handler) {
                if ($handler->kind() === $job->kind) {
                    $this->queue->heartbeat($job);
                    $handler->handle($job->payload);
                    $this->queue->finish($job);
                    $output->writeln("{$job->kind} #{$job->id} done");
                }
            }
        } catch (\Throwable $fault) {
            $this->entities->getConnection()->isTransactionActive() && $this->entities->getConnection()->rollBack();
            $this->queue->fail($job, $fault->getMessage());
            $output->writeln("{$job->kind} #{$job->id} failed: {$fault->getMessage()}");
        } finally {
            $this->entities->clear();
        }
    }
}
