<?php

declare(strict_types=1);

namespace UpperPane\App\Console;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use UpperPane\App\Entity\Access;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Site\Role;
use UpperPane\Core\Site\Thing;

/** Gives somebody a role at a site, or on one of its things alone, or takes it away. */
#[AsCommand('app:grant', 'Give a person a role at a site, or on a group, a surface or a document of it')]
final class GrantCommand extends Command
{
    public function __construct(private readonly EntityManagerInterface $entities, private readonly Recorder $recorder)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $roles = implode(', ', array_column(Role::cases(), 'value'));
        $this->addArgument('email', InputArgument::REQUIRED, 'Of the person.');
        $this->addArgument('role', InputArgument::REQUIRED, "One of $roles.");
        $this->addArgument('site', InputArgument::REQUIRED, 'As it stands in addresses.');
        $this->addArgument('on', InputArgument::OPTIONAL, 'group:ID, surface:CODE or document:ID.', Thing::SITE);
        $this->addOption('take', null, InputOption::VALUE_NONE, 'Take what they have there away.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        [$email, $on] = [mb_strtolower((string) $input->getArgument('email')), (string) $input->getArgument('on')];
        $person = $this->entities->getRepository(Person::class)->findOneBy(['email' => $email]);
        $site = $this->entities->getRepository(Site::class)->findOneBy(['slug' => $input->getArgument('site')]);
        $role = Role::tryFrom((string) $input->getArgument('role'));
        $wrong = match (true) {
            $person === null => "Nobody signs in as $email.",
            $site === null => 'There is no such site.',
            $role === null => 'There is no such role.',
            !Thing::isNamed($on) => "“{$on}” is no thing of a site: write group:ID, surface:CODE or document:ID.",
            default => null,
        };
        if ($person === null || $site === null || $role === null || $wrong !== null) {
            $output->writeln("<error>$wrong</error>");

            return Command::INVALID;
        }
        $take = $input->getOption('take') === true;
        $this->entities->wrapInTransaction(function () use ($person, $site, $role, $on, $take): void {
            $known = $this->entities->find(Access::class, ['person' => $person->id, 'site' => $site->id, 'on' => $on]);
            $known === null || $this->entities->remove($known);
            $this->entities->flush();
            $take || $this->entities->persist(new Access($person, $site, $role, $on));
            $done = $take ? 'take' : 'give';
            $this->recorder->record($person, "access.$done", "$site->slug $on", ['role' => $role->value]);
        });
        $output->writeln($take ? "$email has no role on $on any more." : "$email is {$role->value} on $on.");

        return Command::SUCCESS;
    }
}
