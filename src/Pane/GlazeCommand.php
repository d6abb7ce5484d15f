<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Pitches;
use UpperPane\Core\Surface\Panel;

/** A tree of splits → the px of every pane and the mullions between them. */
final class GlazeCommand implements Command
{
    public function name(): string
    {
        return 'glaze';
    }

    public function about(): string
    {
        return 'A size and a tree of splits: px of every pane, and the mullions.';
    }

    public function schema(): array
    {
        [$tree, $parts] = self::treeSchema();

        return Schema::object(
            ['size' => Schema::size(), 'pitch_mm' => Schema::tuple(Schema::pitchMm(), 2), 'tree' => $tree],
            ['size', 'tree'],
        ) + ['$defs' => $parts];
    }

    public function run(Input $input): array
    {
        $input->keys(['size', 'tree', 'pitch_mm']);
        $pitches = self::pitches($input);

        return Glazing::resolve(
            GlazingReader::read($input->child('tree')),
            Size::parse($input->child('size')),
            new Pitches(...$pitches),
        )->toArray();
    }

    /** @return array{?Rational, ?Rational} µm per px, from an optional `pitch_mm` */
    public static function pitches(Input $input): array
    {
        if (!$input->has('pitch_mm')) {
            return [null, null];
        }
        $mm = $input->list('pitch_mm', 2, 2);
        $um = static fn (Input $one) => Rational::of($one->asMillionths(1, Panel::LARGEST_UM), 1000);

        return [$um($mm[0]), $um($mm[1])];
    }

    /** @return array{array<string, mixed>, array<string, mixed>} the schema of a tree, and its definitions */
    public static function treeSchema(): array
    {
        $size = [
            'type' => 'string',
            'pattern' => '^[0-9]{1,7}(\\.[0-9]{1,3})?(px|%|mm|fr)$',
            'description' => 'above 0 and at most 1000000; px and fr are whole numbers',
        ];
        $px = Schema::whole(0, Size::LARGEST_PX);
        $split = [
            'id' => Schema::id(),
            'split' => ['enum' => ['columns', 'rows']],
            'gutter' => $px,
            'parts' => ['type' => 'array', 'items' => ['$ref' => '#/$defs/part'], 'minItems' => 1, 'maxItems' => 1000],
        ];
        $sized = ['size' => $size, 'min' => $px + ['description' => 'only beside a size in fr']];
        $pane = ['pane' => Schema::id()];

        return [
            [
                'oneOf' => [Schema::object($pane, ['pane']), Schema::object($split, ['split', 'parts'])],
                'description' => 'at most '.GlazingReader::DEEPEST.' splits within each other; every id once',
            ],
            [
                'part' => [
                    'oneOf' => [
                        Schema::object($sized + $pane, ['size', 'pane']),
                        Schema::object($sized + $split, ['size', 'split', 'parts']),
                    ],
                ],
            ],
        ];
    }
}
