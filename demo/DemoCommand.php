<?php

declare(strict_types=1);

namespace UpperPane\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\Uid\Uuid;
use UpperPane\App\Adapter\DemoPeople;
use UpperPane\App\Entity\Access;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Site;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Job\InspectMedia;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\OnesOfSites;
use UpperPane\App\UseCase\Design\CreateDesign;
use UpperPane\App\UseCase\Document\EditDocument;
use UpperPane\App\UseCase\Handoff\HandOver;
use UpperPane\App\UseCase\Handoff\MakeRelease;
use UpperPane\App\UseCase\Stock\AddMedia;
use UpperPane\App\UseCase\Style\CreateStyle;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Book\Book;
use UpperPane\Core\Book\BookKind;
use UpperPane\Core\Site\NamedId;
use UpperPane\Core\Site\Role;
use UpperPane\Core\Site\SurfaceKind;
use UpperPane\Core\Site\SurfaceSheet;
use UpperPane\Core\Site\Thing;

#[AsCommand('app:demo', 'Loads Harrowmere Landing into an empty database.')]
final class DemoCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly PasswordHasherFactoryInterface $hashers,
        private readonly AddMedia $addMedia,
        private readonly InspectMedia $inspect,
        private readonly CreateDesign $create,
        private readonly CreateStyle $createStyle,
        private readonly EditDocument $edit,
        private readonly Documents $documents,
        private readonly MakeRelease $release,
        private readonly HandOver $handOver,
        private readonly DemoPeople $demoPeople,
        private readonly OnesOfSites $ones,
        private readonly string $varDir,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $sites = $this->sites();
        $people = $this->people($sites);
        $designer = $people['designer'];
        foreach (Harrowmere::GROUPS as $slug => $names) {
            $groups = array_combine(array_map(NamedId::Group->of(...), $names), $names);
            $this->ones->made(BookKind::NAME, Book::of($groups), 'Book', $sites[$slug], $designer);
        }
        foreach (Harrowmere::surfaces() as $plan) {
            $this->surface($sites['harrowmere'], $plan, $designer);
        }
        $this->surface($sites['aldermoor'], Harrowmere::jetty(), $designer);
        $media = $this->media($designer, $output);
        foreach (Styles::all() as $style) {
            $this->style($style, $designer);
            $output->writeln($style['name']);
        }
        foreach (Designs::all($media) as $design) {
            $this->create->onSurface(
                $design['surface'],
                Input::of(['design' => $design['id'], 'name' => $design['name']]),
                $designer,
            );
            ($this->edit)(
                $design['id'],
                Input::of([
                    'batch' => str_replace('0b0c1d00', '0b0c1d0b', $design['id']),
                    'client' => str_replace('0b0c1d00', '0b0c1d0c', $design['id']),
                    'revision' => 0,
                    'commands' => $design['commands'],
                ]),
                $designer,
            );
            $design['release'] && $this->handOff($design['surface'], $design['id'], $designer);
            $output->writeln($design['name']);
        }
        $this->demoPeople->write(
            array_map(
                static fn (string $role) => [
                    'name' => Harrowmere::PEOPLE[$role][0],
                    'email' => Harrowmere::PEOPLE[$role][1],
                    'role' => $role,
                    'password' => Harrowmere::PASSWORD,
                ],
                array_keys(Harrowmere::PEOPLE),
            ),
        );

        return Command::SUCCESS;
    }

    /** @return array<string, Site> by slug */
    private function sites(): array
    {
        $sites = [];
        foreach (Harrowmere::SITES as $slug => [$name, $address, $zone]) {
            $sites[$slug] =
                $this->entities->getRepository(Site::class)->findOneBy(['slug' => $slug]) ??
                new Site($slug, $name, $address, $zone);
            $this->entities->persist($sites[$slug]);
        }
        $this->entities->flush();

        return $sites;
    }

    /**
     * @param array<string, Site> $sites
     *
     * @return array<string, Person> by role
     */
    private function people(array $sites): array
    {
        $hash = $this->hashers->getPasswordHasher(Person::class)->hash(Harrowmere::PASSWORD);
        $people = [];
        foreach (Harrowmere::PEOPLE as $role => [$name, $email]) {
            $people[$role] =
                $this->entities->getRepository(Person::class)->findOneBy(['email' => $email]) ??
                new Person($name, $email, Role::from($role), $hash);
            $this->entities->persist($people[$role]);
        }
        $this->entities->flush();
        foreach ($people as $role => $person) {
            foreach (Harrowmere::ACCESS[$role] as $slug) {
                $key = ['person' => $person->id, 'site' => $sites[$slug]->id, 'on' => Thing::SITE];
                $known = $this->entities->find(Access::class, $key);
                $this->entities->persist($known ?? new Access($person, $sites[$slug], $person->role));
            }
        }
        $this->entities->flush();

        return $people;
    }

    /** @param array{code: string, player: string, sheet: array<string, mixed>} $plan */
    private function surface(Site $site, array $plan, Person $person): void
    {
        if ($this->entities->getRepository(SurfaceRow::class)->findOneBy(['code' => $plan['code']]) !== null) {
            return;
        }
        $outputs = count(SurfaceSheet::fresh($plan['sheet'])->surface->panels);
        $sheet = SurfaceSheet::fresh($plan['sheet'], [$plan['player'] => $outputs]);
        $document = Uuid::v7()->toRfc4122();
        $this->documents->add(
            new LoadedDocument($document, SurfaceKind::NAME, $site->id, null, null, 0, $sheet),
            $sheet->name(),
            $person,
        );
        $surface = new SurfaceRow($site, $plan['code'], $document, $sheet);
        $this->entities->persist($surface);
        $this->entities->persist(new Player($surface, $plan['player'], $surface->name));
        $this->entities->flush();
    }

    /** @return array<string, string> name → id */
    private function media(Person $person, OutputInterface $output): array
    {
        $folder = $this->varDir.'/drawn';
        is_dir($folder) || mkdir($folder, 0o755, true);
        $ids = [];
        foreach (Harrowmere::media() as $name => $draw) {
            $draw("$folder/$name");
            $ids[$name] = ($this->addMedia)('harrowmere', "$folder/$name", $name, $person)['id'];
            $this->inspect->handle(['media' => $ids[$name]]);
            $this->entities->flush();
            $media = $this->entities->find(Media::class, $ids[$name]);
            if ($media?->state !== Media::READY) {
                throw new \RuntimeException("$name: ".($media->fault['code'] ?? 'gone'));
            }
            $output->writeln($name);
        }

        return $ids;
    }

    /** @param array{id: string, name: string, commands: list<array<string, mixed>>} $style */
    private function style(array $style, Person $person): void
    {
        ($this->createStyle)('harrowmere', Input::of(['style' => $style['id'], 'name' => $style['name']]), $person);
        ($this->edit)(
            $style['id'],
            Input::of([
                'batch' => str_replace('0b0c1d01', '0b0c1d1b', $style['id']),
                'client' => str_replace('0b0c1d01', '0b0c1d1c', $style['id']),
                'revision' => 0,
                'commands' => $style['commands'],
            ]),
            $person,
        );
    }

    private function handOff(string $surface, string $design, Person $person): void
    {
        $release = ($this->release)(
            $design,
            Input::of(['revision' => 1, 'note' => 'First day of the season', 'made_as' => Uuid::v4()->toRfc4122()]),
            $person,
        );
        $order = ['release' => $release['release'], 'after' => 0, 'made_as' => Uuid::v4()->toRfc4122()];
        ($this->handOver)($surface, Input::of($order), $person);
    }
}
