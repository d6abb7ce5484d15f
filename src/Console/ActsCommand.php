<?php

declare(strict_types=1);

namespace UpperPane\App\Console;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception as DatabaseFault;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use UpperPane\App\Adapter\Unwritten;
use UpperPane\App\UseCase\Act\PublishActs;

/** Writes acts for players, for as long as it is left running: one on every node, and nothing else stands before it. */
#[AsCommand('app:acts', 'Writes, twice a second, what players are to do at once.')]
final class ActsCommand extends Command
{
    private const EVERY_US = 500_000;

    public function __construct(private readonly PublishActs $publish, private readonly Connection $database)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $stopping = false;
        foreach ([\SIGTERM, \SIGINT] as $signal) {
            pcntl_signal($signal, static function () use (&$stopping): void {
                $stopping = true;
            });
        }
        pcntl_async_signals(true);
        $fault = '';
        while (!$stopping) {
            try {
                $this->publish->all();
                $now = '';
            } catch (Unwritten|DatabaseFault $why) {
                $this->database->close();
                $now = $why->getMessage();
            }
            // Said once, not twice a second: it will be written.
            if ($now !== $fault && $now !== '') {
                $output->writeln("not written yet: $now");
            }
            $fault = $now;
            usleep(self::EVERY_US);
        }

        return Command::SUCCESS;
    }
}
