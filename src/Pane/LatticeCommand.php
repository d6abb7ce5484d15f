<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Ratio;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Lattice;

/** Cells of a lattice → their rectangle. */
final class LatticeCommand implements Command
{
    private const MOST_CELLS = 1000;

    public function name(): string
    {
        return 'lattice';
    }

    public function about(): string
    {
        return 'A size, columns and rows, cells: their rectangle.';
    }

    public function schema(): array
    {
        $count = Schema::whole(1, self::MOST_CELLS);

        return Schema::object(
            [
                'size' => Schema::size(),
                'columns' => $count,
                'rows' => $count,
                'cells' => [
                    'type' => 'array',
                    'prefixItems' => array_map(
                        static fn (int $least) => Schema::whole($least, self::MOST_CELLS),
                        [0, 0, 1, 1],
                    ),
                    'items' => false,
                    'minItems' => 4,
                    'maxItems' => 4,
                ],
            ],
            ['size', 'columns', 'rows', 'cells'],
        );
    }

    public function run(Input $input): array
    {
        $input->keys(['size', 'columns', 'rows', 'cells']);
        $lattice = Lattice::of(
            Size::parse($input->child('size')),
            $input->int('columns', 1, self::MOST_CELLS),
            $input->int('rows', 1, self::MOST_CELLS),
        );
        $cells = $input->list('cells', 4, 4);
        $rect = $lattice->cells(
            $cells[0]->asInt(0, self::MOST_CELLS),
            $cells[1]->asInt(0, self::MOST_CELLS),
            $cells[2]->asInt(1, self::MOST_CELLS),
            $cells[3]->asInt(1, self::MOST_CELLS),
        );

        return ['rect' => $rect->toArray(), 'ratio' => Ratio::of($rect->size())->toArray()];
    }
}
