<?php

declare(strict_types=1);

namespace UpperPane\App\Console;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use UpperPane\App\Adapter\FontLibrary;

#[AsCommand('app:fonts', 'Copies the faces of config/fonts.php to where they are served, and compiles their tables.')]
final class FontsCommand extends Command
{
    public function __construct(private readonly FontLibrary $fonts)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->writeln($this->fonts->publish().' faces published.');

        return Command::SUCCESS;
    }
}
