<?php

declare(strict_types=1);

namespace UpperPane\App\Console;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\StreamableInputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use UpperPane\App\Entity\Access;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Site;
use UpperPane\App\Repository\OnesOfSites;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Book\Book;
use UpperPane\Core\Book\BookKind;
use UpperPane\Core\Site\Role;
use UpperPane\Core\Site\Thing;

/**
 * The first site and the person who looks after it, where there is no demo. The password comes by standard input, so
 * that it stands in no list of processes. Run again for a site or a person that is there, it changes neither.
 */
#[AsCommand('app:begin', 'Makes a site and its administrator; the password is read from standard input.')]
final class BeginCommand extends Command
{
    private const LEAST_PASSWORD = 12;
    private const SLUG = '/^[a-z][a-z0-9-]{1,59}$/D';

    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly PasswordHasherFactoryInterface $hashers,
        private readonly Recorder $recorder,
        private readonly OnesOfSites $ones,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('slug', InputArgument::REQUIRED, 'The site in addresses: small letters, digits, hyphens.');
        $this->addArgument('site', InputArgument::REQUIRED, 'Its name.');
        $this->addArgument('zone', InputArgument::REQUIRED, 'Its IANA time zone, such as Europe/London.');
        $this->addArgument('email', InputArgument::REQUIRED, 'Whom the administrator signs in as.');
        $this->addArgument('name', InputArgument::REQUIRED, 'Their name.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $given = array_map(static fn (string $name) => trim((string) $input->getArgument($name)), [
            'slug' => 'slug',
            'site' => 'site',
            'zone' => 'zone',
            'email' => 'email',
            'name' => 'name',
        ]);
        $email = mb_strtolower($given['email']);
        $from = ($input instanceof StreamableInputInterface ? $input->getStream() : null) ?? \STDIN;
        $password = rtrim((string) fgets($from), "\r\n");
        $wrong = match (true) {
            preg_match(self::SLUG, $given['slug']) !== 1 => 'The slug holds small letters, digits and hyphens.',
            $given['site'] === '' || $given['name'] === '' => 'The site and the person have names.',
            !in_array($given['zone'], \DateTimeZone::listIdentifiers(), true) => sprintf(
                '“%s” is no IANA time zone.',
                $given['zone'],
            ),
            filter_var($email, \FILTER_VALIDATE_EMAIL) === false => "“{$email}” is no address of a person.",
            mb_strlen($password) < self::LEAST_PASSWORD => sprintf(
                'The password on standard input has at least %d characters.',
                self::LEAST_PASSWORD,
            ),
            default => null,
        };
        if ($wrong !== null) {
            $output->writeln("<error>$wrong</error>");

            return Command::INVALID;
        }
        $this->entities->wrapInTransaction(function () use ($given, $email, $password): void {
            $site =
                $this->entities->getRepository(Site::class)->findOneBy(['slug' => $given['slug']]) ??
                new Site($given['slug'], $given['site'], '', $given['zone']);
            $hash = $this->hashers->getPasswordHasher(Person::class)->hash($password);
            $person =
                $this->entities->getRepository(Person::class)->findOneBy(['email' => $email]) ??
                new Person($given['name'], $email, Role::Administrator, $hash);
            $this->entities->persist($site);
            $this->entities->persist($person);
            $this->entities->flush();
            $key = ['person' => $person->id, 'site' => $site->id, 'on' => Thing::SITE];
            $known = $this->entities->find(Access::class, $key);
            $this->entities->persist($known ?? new Access($person, $site, Role::Administrator));
            $this->ones->made(BookKind::NAME, Book::of(), 'Book', $site, $person);
            $this->recorder->record($person, 'site.begin', $site->slug);
        });
        $output->writeln("{$given['site']} is there, and $email may sign in.");

        return Command::SUCCESS;
    }
}
