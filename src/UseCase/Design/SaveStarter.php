<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\OnesOfSites;
use UpperPane\App\Repository\Sites;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Document\Desks;
use UpperPane\App\UseCase\Document\EditDocument;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Design\Starters\OwnStarter;
use UpperPane\Core\Design\Starters\OwnStarters;
use UpperPane\Core\Design\Starters\PutStarter;
use UpperPane\Core\Design\Starters\StartersKind;
use UpperPane\Core\Site\Right;

/** Keeps the glazing of a layout as a starter of the site. Sent again with the same batch, it is kept once. */
final readonly class SaveStarter
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Desks $desks,
        private Sites $sites,
        private OnesOfSites $ones,
        private EditDocument $edit,
        private Gate $gate,
    ) {
    }

    /** @return array<string, mixed> the answer of an edit of the site's starters */
    public function __invoke(string $designId, Input $input, Person $person): array
    {
        $input->keys(['batch', 'client', 'starter', 'name', 'scene', 'layout']);
        [$loaded] = $this->desks->open($designId, $person);
        $site = $this->sites->byId($loaded->siteId) ?? throw Absent::named('site');
        $this->gate->demand($person, Right::Design, $site);
        $at = LayoutAt::of(Planning::design($loaded), ...LayoutAt::fields($input));
        $put = new PutStarter($input->newId('starter'), OwnStarter::of(trim($input->name('name', 80, 1)), $at));
        $shelf = $this->entities->wrapInTransaction(function () use ($site, $person): string {
            $this->sites->lock($site);

            return $this->ones->made(StartersKind::NAME, OwnStarters::none(), 'Starters', $site, $person);
        });

        return ($this->edit)(
            $shelf,
            Input::of([
                'batch' => $input->uuid('batch'),
                'client' => $input->uuid('client'),
                'revision' => $this->ones->of(StartersKind::NAME, $site->id)->revision ?? 0,
                'commands' => [$put->toArray()],
            ]),
            $person,
        );
    }
}
