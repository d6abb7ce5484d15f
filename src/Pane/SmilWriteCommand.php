<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Exchange\SmilRegion;
use UpperPane\Core\Exchange\SmilWriter;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\FitMode;

/** Regions → a SMIL 3.0 document. */
final class SmilWriteCommand implements Command
{
    private const MOST_REGIONS = 1000;

    public function name(): string
    {
        return 'smil-write';
    }

    public function about(): string
    {
        return 'A size and regions: the layout as a SMIL 3.0 document.';
    }

    public function schema(): array
    {
        $percent = Schema::whole(0, 100);
        $region = Schema::object(
            [
                'id' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 120],
                'rect' => [
                    'type' => 'array',
                    'prefixItems' => [
                        Schema::whole(-Size::LARGEST_PX, Size::LARGEST_PX),
                        Schema::whole(-Size::LARGEST_PX, Size::LARGEST_PX),
                        Schema::whole(1, Size::LARGEST_PX),
                        Schema::whole(1, Size::LARGEST_PX),
                    ],
                    'items' => false,
                    'minItems' => 4,
                    'maxItems' => 4,
                ],
                'z' => Schema::whole(-1_000_000, 1_000_000),
                'fit' => ['enum' => array_column(FitMode::cases(), 'value')],
                'focus' => Schema::tuple($percent, 2),
                'ground' => ['type' => ['string', 'null'], 'pattern' => '^#[0-9A-Fa-f]{6}$'],
            ],
            ['id', 'rect'],
        );

        return Schema::object(
            [
                'size' => Schema::size(),
                'regions' => ['type' => 'array', 'items' => $region, 'maxItems' => self::MOST_REGIONS],
            ],
            ['size', 'regions'],
        );
    }

    public function run(Input $input): array
    {
        $input->keys(['size', 'regions']);
        $size = Size::parse($input->child('size'));
        $regions = [];
        foreach ($input->list('regions', self::MOST_REGIONS) as $item) {
            $region = SmilRegion::parse($item);
            if (isset($regions[$region->id])) {
                throw Refusal::because('document.id_taken', $item->pathTo('id'), ['id' => $region->id]);
            }
            $regions[$region->id] = $region;
        }
        $written = SmilWriter::write($size, array_values($regions));
        $findings = array_map(static fn (Finding $finding) => $finding->toArray(), $written['findings']);

        return ['smil' => $written['smil']] + ($findings === [] ? [] : ['findings' => $findings]);
    }
}
