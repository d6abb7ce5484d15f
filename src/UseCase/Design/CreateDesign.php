<?php

declare(strict_types=1);

namespace UpperPane\App\UseCase\Design;

use Doctrine\ORM\EntityManagerInterface;
use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\Entity\DesignRow;
use UpperPane\App\Entity\Person;
use UpperPane\App\Entity\SurfaceRow;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Recorder;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;

/** A new design for a surface or a named area of it: one scene, one empty pane. The id comes from the client, so that a repeated request makes no second one. */
final readonly class CreateDesign
{
    public function __construct(
        private EntityManagerInterface $entities,
        private DesignStore $store,
        private ShiftedClock $clock,
        private Recorder $recorder,
    ) {
    }

    /** @return array{design: string} */
    public function __invoke(string $surfaceCode, Input $input, Person $person): array
    {
        $input->keys(['design', 'name', 'area']);
        $id = $input->text('design', 36, 36);
        if (preg_match('/^[0-9a-f-]{36}$/D', $id) !== 1) {
            throw Refusal::because('input.id', '/design', ['value' => $id]);
        }
        $name = trim($input->text('name', 120, 1));
        if ($name === '') {
            throw Refusal::because('input.length', '/name', ['length' => 0, 'least' => 1, 'most' => 120]);
        }
        $row = $this->entities->getRepository(SurfaceRow::class)->findOneBy(['code' => $surfaceCode]) ?? throw Absent::named('surface');
        if ($this->entities->find(DesignRow::class, $id) === null) {
            $area = $input->has('area') && $input->child('area')->raw() !== null ? $input->text('area', 60, 1) : null;
            $sheet = $row->sheet();
            $size = ($area === null ? $sheet->surface->canvas->rect() : $sheet->areas[$area] ?? throw Refusal::because('area.unknown', '/area', ['area' => $area]))->size();
            $design = Design::fresh($name, $size, $sheet->surface->widthUm($size->width), $sheet->surface->heightUm($size->height), 's-rest', 'z-'.substr($id, 0, 8));
            $designRow = new DesignRow($id, $row, $name, $design->headArray(), $this->clock->now(), $area);
            $designRow->changedBy = $person;
            $this->store->add($designRow, $design);
            $this->entities->flush();
            $this->recorder->record($person, 'design.create', $id, ['name' => $name, 'surface' => $surfaceCode, 'area' => $area]);
        }

        return ['design' => $id];
    }
}
