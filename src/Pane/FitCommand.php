<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\Crop;
use UpperPane\Core\Picture\Fit;
use UpperPane\Core\Picture\FitMode;

/** A picture into a box → what is drawn, seen and cut away. */
final class FitCommand implements Command
{
    public function name(): string
    {
        return 'fit';
    }

    public function about(): string
    {
        return 'Source, box, fit, focus, crop in ppm: what is drawn, seen, barred and cut away.';
    }

    public function schema(): array
    {
        return Schema::object(
            [
                'source' => Schema::size(),
                'box' => Schema::size(),
                'fit' => ['enum' => array_column(FitMode::cases(), 'value')],
                'focus' => Schema::tuple(['type' => 'number', 'minimum' => 0, 'maximum' => 100], 2),
                'crop' => Schema::tuple(Schema::whole(0, 1_000_000), 4),
            ],
            ['source', 'box', 'fit'],
        );
    }

    public function run(Input $input): array
    {
        $input->keys(['source', 'box', 'fit', 'focus', 'crop']);
        $focus = $input->has('focus')
            ? array_map(static fn (Input $percent) => $percent->asThousandths(0, 100_000), $input->list('focus', 2, 2))
            : [50_000, 50_000];

        $source = Size::parse($input->child('source'));
        $how = [
            Size::parse($input->child('box')),
            FitMode::from((string) $input->choice('fit', array_column(FitMode::cases(), 'value'))),
            ...$focus,
        ];

        return ($input->has('crop')
            ? Fit::ofPart($source, Crop::parse($input->child('crop'))->of($source), ...$how)
            : Fit::of($source, ...$how))->toArray();
    }
}
