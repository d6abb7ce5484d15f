<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Style;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\HouseStyles;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Sites;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Site\Right;
use UpperPane\Core\Style\HouseStyle;
use UpperPane\Core\Style\StyleKind;

/** A new house style, empty or like another one. The id comes from the client, so that asked again it is the same. */
final readonly class CreateStyle
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Documents $documents,
        private HouseStyles $styles,
        private Sites $sites,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /**
     * @return array{style: string}
     *
     * @throws Refusal `style.gone` for one that it cannot be like
     */
    public function __invoke(string $siteSlug, Input $input, Person $person): array
    {
        $input->keys(['style', 'name', 'like']);
        $site = $this->gate->site($siteSlug, $person, Right::Design);
        [$id, $name] = [$input->uuid('style'), HouseStyle::named($input)];
        $like = $input->optional('like')?->asId();
        $model = $like === null
            ? HouseStyle::fresh($name)
            : $this->styles->find($site->id, $like) ?? throw Refusal::because('style.gone', '/like');
        $style = $model->called($name);
        $this->entities->wrapInTransaction(function () use ($id, $site, $style, $person): void {
            $this->sites->lock($site);
            $known = $this->documents->load($id, true);
            if ($known !== null && [$known->siteId, $known->kind] !== [$site->id, StyleKind::NAME]) {
                throw Conflict::because('request.id_taken', ['id' => $id]);
            }
            if ($known === null) {
                $new = new LoadedDocument($id, StyleKind::NAME, $site->id, null, null, 0, $style);
                $this->documents->add($new, $style->name, $person);
                $this->recorder->record($person, 'style.create', $id, ['name' => $style->name]);
            }
        });

        return ['style' => $id];
    }
}
