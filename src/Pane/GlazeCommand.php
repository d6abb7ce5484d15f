<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Surface\Panel;

/** A tree of splits → the px of every pane and the mullions between them. */
final class GlazeCommand implements Command
{
    public function name(): string
    {
        return 'glaze';
    }

    public function schema(): array
    {
        $size = ['type' => 'string', 'pattern' => '^\d{1,7}(\.\d{1,3})?(px|%|mm|fr)$'];
        $min = Schema::whole(0, Size::LARGEST_PX);
        $split = [
            'id' => Schema::id(), 'split' => ['enum' => ['columns', 'rows']], 'gutter' => $min,
            'parts' => ['type' => 'array', 'items' => ['$ref' => '#/$defs/part'], 'minItems' => 1, 'maxItems' => 1000],
        ];
        $sized = ['size' => $size, 'min' => $min];
        $pane = ['pane' => Schema::id()];

        return Schema::object([
            'size' => Schema::size(),
            'pitch_mm' => Schema::tuple(Schema::positive(), 2),
            'tree' => ['oneOf' => [Schema::object($pane, ['pane']), Schema::object($split, ['split', 'parts'])]],
        ], ['size', 'tree']) + ['$defs' => ['part' => ['oneOf' => [
            Schema::object($sized + $pane, ['size', 'pane']),
            Schema::object($sized + $split, ['size', 'split', 'parts']),
        ]]]];
    }

    public function run(Input $input): array
    {
        $input->keys(['size', 'tree', 'pitch_mm']);
        $pitch = $input->has('pitch_mm')
            ? array_map(static fn (Input $mm) => Rational::of($mm->asMillionths(1, Panel::LARGEST_UM), 1000), $input->list('pitch_mm', 2, 2))
            : [null, null];
        $size = Size::parse($input->child('size'));

        return Glazing::resolve(GlazingReader::read($input->child('tree')), $size, $pitch[0], $pitch[1])->toArray();
    }
}
