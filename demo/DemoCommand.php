<?php

declare(strict_types=1);

namespace UpperPane\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use UpperPane\App\Entity\Media;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\Player;
use UpperPane\App\Entity\Site;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\Job\InspectMedia;
use UpperPane\App\Security\Role;
use UpperPane\App\UseCase\Design\CreateDesign;
use UpperPane\App\UseCase\Design\EditDesign;
use UpperPane\App\UseCase\Handoff\HandOver;
use UpperPane\App\UseCase\Handoff\MakeRelease;
use UpperPane\App\UseCase\Stock\AddMedia;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Site\SurfaceSheet;

#[AsCommand('app:demo', 'Loads Harrowmere Landing into an empty database.')]
final class DemoCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly PasswordHasherFactoryInterface $hashers,
        private readonly AddMedia $addMedia,
        private readonly InspectMedia $inspect,
        private readonly CreateDesign $create,
        private readonly EditDesign $edit,
        private readonly MakeRelease $release,
        private readonly HandOver $handOver,
        private readonly string $varDir,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $people = $this->people();
        $this->surfaces();
        $media = $this->media($people['designer'], $output);
        foreach (Designs::all($media) as $design) {
            ($this->create)($design['surface'], Input::of(['design' => $design['id'], 'name' => $design['name']]), $people['designer']);
            ($this->edit)($design['id'], Input::of(['batch' => str_replace('0b0c1d00', '0b0c1d0b', $design['id']), 'revision' => 0, 'commands' => $design['commands']]), $people['designer']);
            $design['release'] && $this->handOff($design['surface'], $design['id'], $people['designer']);
            $output->writeln($design['name']);
        }

        return Command::SUCCESS;
    }

    /** @return array<string, Person> by role */
    private function people(): array
    {
        $hash = $this->hashers->getPasswordHasher(Person::class)->hash(Harrowmere::PASSWORD);
        $people = [];
        foreach (Harrowmere::PEOPLE as $role => [$name, $email]) {
            $people[$role] = $this->entities->getRepository(Person::class)->findOneBy(['email' => $email]) ?? new Person($name, $email, Role::from($role), $hash);
            $this->entities->persist($people[$role]);
        }
        $this->entities->flush();

        return $people;
    }

    private function surfaces(): void
    {
        $site = $this->entities->getRepository(Site::class)->findOneBy(['slug' => 'harrowmere'])
            ?? new Site('harrowmere', 'Harrowmere Landing', 'Pier Road 1, Harrowmere', 'Europe/London');
        $this->entities->persist($site);
        foreach (Harrowmere::surfaces() as $plan) {
            if ($this->entities->getRepository(SurfaceRow::class)->findOneBy(['code' => $plan['code']]) !== null) {
                continue;
            }
            $sheet = SurfaceSheet::fresh($plan['sheet']);
            $surface = new SurfaceRow($site, $plan['code'], $sheet);
            $player = new Player($surface, $plan['player'], $surface->name);
            $player->outputs = count($sheet->surface->panels);
            $this->entities->persist($surface);
            $this->entities->persist($player);
        }
        $this->entities->flush();
    }

    /** @return array<string, string> name → id */
    private function media(Person $person, OutputInterface $output): array
    {
        $folder = $this->varDir.'/drawn';
        is_dir($folder) || mkdir($folder, 0o755, true);
        $font = '/usr/share/fonts/truetype/roboto/unhinted/RobotoTTF/Roboto-Bold.ttf';
        $ids = [];
        foreach (Harrowmere::media() as $name => $draw) {
            $draw("$folder/$name", $font);
            $ids[$name] = ($this->addMedia)('harrowmere', "$folder/$name", $name, $person)['id'];
            $this->inspect->handle(['media' => $ids[$name]]);
            $media = $this->entities->find(Media::class, $ids[$name]);
            $media?->state === Media::READY || throw new \RuntimeException("$name: {$media?->fault}");
            $output->writeln($name);
        }

        return $ids;
    }

    private function handOff(string $surface, string $design, Person $person): void
    {
        $release = ($this->release)($design, Input::of(['revision' => 1, 'note' => 'First day of the season']), $person);
        $player = $this->entities->getRepository(Player::class)->findOneBy(['surface' => $this->entities->getRepository(SurfaceRow::class)->findOneBy(['code' => $surface])]);
        $player === null || ($this->handOver)($player->code, Input::of(['release' => $release['release'], 'after' => 0]), $person);
    }
}
