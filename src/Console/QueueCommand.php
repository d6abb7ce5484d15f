<?php

declare(strict_types=1);

namespace UpperPane\App\Console;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use UpperPane\App\Job\Queue;

/** Whether there are workers enough: what waits in each lane, and for how long. */
#[AsCommand('app:queue', 'Says what waits in each lane, and how long the oldest has waited.')]
final class QueueCommand extends Command
{
    public function __construct(private readonly Queue $queue)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        foreach ($this->queue->waits() as $lane => ['count' => $count, 'oldest_ms' => $oldest]) {
            $output->writeln($oldest === null
                ? "$lane: nothing waits"
                : sprintf('%s: %d wait, the oldest for %.1f s', $lane, $count, $oldest / 1000));
        }

        return Command::SUCCESS;
    }
}
