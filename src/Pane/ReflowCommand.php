<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Reflow;
use UpperPane\Core\Layout\ReflowScale;
use UpperPane\Core\Layout\Sizing;

/** A layout made for one surface on another one (model §3). */
final class ReflowCommand implements Command
{
    private const SCALES = [
        'short_side' => ReflowScale::ShortSide,
        'pitch' => ReflowScale::SameMm,
        'none' => ReflowScale::SamePx,
    ];

    public function name(): string
    {
        return 'reflow';
    }

    public function about(): string
    {
        return 'A tree of splits on one surface: its panes on another, what was loosened or left out.';
    }

    public function schema(): array
    {
        [$tree, $parts] = GlazeCommand::treeSchema();
        $surface = Schema::object(
            ['size' => Schema::size(), 'pitch_mm' => Schema::tuple(Schema::pitchMm(), 2)],
            ['size'],
        );

        return Schema::object(
            ['from' => $surface, 'to' => $surface, 'scale' => ['enum' => array_keys(self::SCALES)], 'tree' => $tree],
            ['from', 'to', 'scale', 'tree'],
        ) + [
            '$defs' => $parts,
            'description' => 'pitch_mm is needed on both sides for the scale pitch, and where parts are sized in mm',
        ];
    }

    public function run(Input $input): array
    {
        $input->keys(['from', 'to', 'scale', 'tree']);
        $scale = self::SCALES[$input->choice('scale', array_keys(self::SCALES))];
        [$from, $to] = [self::sizing($input->child('from'), $scale), self::sizing($input->child('to'), $scale)];
        $reflowed = Reflow::to(GlazingReader::read($input->child('tree')), $from, $to, $scale);

        return [
            'scale' => $reflowed->scale->toRatio(),
            'panes' => (object) array_map(static fn (Rect $rect) => $rect->toArray(), $reflowed->glazing->panes),
            'left_out' => $reflowed->leftOut,
            'findings' => array_map(static fn (Finding $finding) => $finding->toArray(), $reflowed->findings),
        ];
    }

    private static function sizing(Input $input, ReflowScale $scale): Sizing
    {
        $input->keys(['size', 'pitch_mm']);
        [$x, $y] = GlazeCommand::pitches($input);
        $sizing = new Sizing(Size::parse($input->child('size')), $x, $y);
        if ($scale === ReflowScale::SameMm && $sizing->pitchUm(Axis::X) === null) {
            throw Refusal::because('glaze.pitch_needed', $input->pathTo('pitch_mm'));
        }

        return $sizing;
    }
}
