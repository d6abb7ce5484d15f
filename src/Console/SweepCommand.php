<?php

declare(strict_types=1);

namespace UpperPane\App\Console;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use UpperPane\App\UseCase\Sweep\Sweep;

/** The sweep by hand; every worker does it once an hour. */
#[AsCommand('app:sweep', 'Takes away what nobody refers to any more.')]
final class SweepCommand extends Command
{
    public function __construct(private readonly Sweep $sweep)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('dry-run', null, InputOption::VALUE_NONE, 'Only say what would go.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $dry = (bool) $input->getOption('dry-run');
        $words = Sweep::inWords(($this->sweep)($dry));
        $output->writeln($words === '' ? 'There is nothing to sweep.' : ($dry ? 'would sweep ' : 'swept ').$words);

        return Command::SUCCESS;
    }
}
