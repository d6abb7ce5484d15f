<?php

declare(strict_types=1);

namespace UpperPane\App\Console;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use UpperPane\App\Adapter\Unwritten;
use UpperPane\App\Entity\ReleasePlan;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Handoff\CompileAgain;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Refusal;

/** For whoever runs it: whether every released plan still comes of what was sealed with it, byte for byte. */
#[AsCommand('app:releases:again', 'Compiles every released plan again from its sealed inputs and compares the bytes')]
final class AgainCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly CompileAgain $again,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        [$same, $rebuilt, $wrong] = [0, 0, 0];
        foreach ($this->entities->getRepository(ReleasePlan::class)->findAll() as $plan) {
            if ($plan->rebuilt || $plan->inputs === null) {
                ++$rebuilt;
                continue;
            }
            $why = $this->difference($plan);
            $why === '' ? ++$same : ++$wrong;
            $why === '' || $output->writeln(
                "{$plan->release->design->name} {$plan->release->number} on {$plan->surface->code}: $why",
            );
        }
        $output->writeln("$same the same, $wrong different, $rebuilt from before there were inputs");

        return $wrong === 0 ? Command::SUCCESS : Command::FAILURE;
    }

    private function difference(ReleasePlan $plan): string
    {
        try {
            return CanonicalJson::sha256(($this->again)($plan)->toArray()) === $plan->sha256 ? '' : 'other bytes';
        } catch (Refusal|Absent|Unwritten $fault) {
            return $fault->getMessage();
        }
    }
}
