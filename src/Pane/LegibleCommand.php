<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Surface\Legibility;
use UpperPane\Core\Surface\Panel;
use UpperPane\Core\Text\Fonts;

/** A capital height, or a font at a size, on a pitch at a distance → the angle it is seen under. */
final readonly class LegibleCommand implements Command
{
    /** @param \Closure(): Fonts $fonts the faces, opened only when one is named */
    public function __construct(private \Closure $fonts)
    {
    }

    public function name(): string
    {
        return 'legible';
    }

    public function about(): string
    {
        return 'A capital height in px, or a font at a size; pitch; distance: mm, arc minutes, how far single px are seen.';
    }

    public function schema(): array
    {
        return Schema::object(
            [
                'cap_height_px' => Schema::parts(1000, 1, 1000 * Size::LARGEST_PX),
                'font' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 80],
                'weight' => Schema::whole(1, 1000),
                'size' => Schema::whole(1, Size::LARGEST_PX),
                'pitch_mm' => Schema::pitchMm(),
                'distance_m' => Schema::mm(1),
            ],
            ['pitch_mm', 'distance_m'],
        ) + [
            'oneOf' => [
                [
                    'required' => ['cap_height_px'],
                    'properties' => ['font' => false, 'weight' => false, 'size' => false],
                ],
                ['required' => ['font', 'size']],
            ],
        ];
    }

    public function run(Input $input): array
    {
        $input->keys(['cap_height_px', 'font', 'weight', 'size', 'pitch_mm', 'distance_m']);
        if ($input->has('cap_height_px') === ($input->has('font') || $input->has('size') || $input->has('weight'))) {
            throw Refusal::because('legible.height_or_font', $input->path);
        }
        $cap = $input->has('cap_height_px')
            ? Rational::of($input->child('cap_height_px')->asThousandths(1, 1000 * Size::LARGEST_PX), 1000)
            : ($this->fonts)()
                ->face($input->text('font', 80, 1), $input->has('weight') ? $input->int('weight', 1, 1000) : 400)
                ->capHeightPx($input->int('size', 1, Size::LARGEST_PX));

        return Legibility::report(
            $cap,
            Rational::of($input->child('pitch_mm')->asMillionths(1, Panel::LARGEST_UM), 1000),
            $input->child('distance_m')->asThousandths(1, Panel::LARGEST_UM),
        );
    }
}
