<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Entity\Person;
use UpperPane\App\Repository\Documents;
use UpperPane\App\Repository\LoadedDocument;
use UpperPane\App\Repository\Surfaces;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Gate;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Design;
use UpperPane\Core\Design\DesignKind;
use UpperPane\Core\Site\Right;

/**
 * A new design for a surface or a named area of it: one scene, one empty pane. The id comes from the client, so that a
 * repeated request makes no second one.
 */
final readonly class CreateDesign
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Documents $documents,
        private Surfaces $surfaces,
        private Planning $planning,
        private Gate $gate,
        private Recorder $recorder,
    ) {
    }

    /** @return array{design: string} */
    public function __invoke(string $surfaceCode, Input $input, Person $person): array
    {
        $input->keys(['design', 'name', 'area', 'scene']);
        $id = $input->text('design', 36, 36);
        if (preg_match('/^[0-9a-f-]{36}$/D', $id) !== 1) {
            throw Refusal::because('input.id', '/design', ['value' => $id]);
        }
        $name = trim($input->text('name', 120, 1));
        if ($name === '') {
            throw Refusal::because('input.length', '/name', ['length' => 0, 'least' => 1, 'most' => 120]);
        }
        $row = $this->surfaces->byCode($surfaceCode) ?? throw Absent::named('surface');
        $this->gate->demand($person, Right::Design, $row->site);
        $area = $input->optional('area')?->asText(60, 1);
        $sheet = $this->planning->sheet($row);
        $size = ($area === null
            ? $sheet->surface->canvas->rect()
            : $sheet->areas[$area] ?? throw Refusal::because('area.unknown', '/area', ['area' => $area])
        )->size();
        $scene = $input->optional('scene')?->asText(80, 1) ?? 'Rest';
        $design = Design::fresh(
            $name,
            $size,
            $sheet->surface->widthUm($size->width),
            $sheet->surface->heightUm($size->height),
            's-rest',
            'z-'.substr($id, 0, 8),
            $scene,
        );
        $this->entities->wrapInTransaction(function () use ($id, $row, $area, $design, $name, $person): void {
            // One after another at a surface, so that the same id sent ten times at once is one design.
            $this->surfaces->lock($row);
            $known = $this->documents->load($id, true);
            if ($known !== null && $known->surfaceId !== $row->id) {
                throw Conflict::because('request.id_taken', ['id' => $id]);
            }
            if ($known === null) {
                $this->documents->add(
                    new LoadedDocument($id, DesignKind::NAME, $row->site->id, $row->id, $area, 0, $design),
                    $name,
                    $person,
                );
                $this->recorder->record($person, 'design.create', $id, [
                    'name' => $name,
                    'surface' => $row->code,
                    'area' => $area,
                ]);
            }
        });

        return ['design' => $id];
    }
}
