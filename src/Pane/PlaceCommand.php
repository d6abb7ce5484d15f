<?php

declare(strict_types=1);

namespace UpperPane\App\Pane;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Anchor;
use UpperPane\Core\Layout\FloatPlace;
use UpperPane\Core\Layout\Placed;
use UpperPane\Core\Layout\Placing;

/** Floats on a canvas (model §3). */
final class PlaceCommand implements Command
{
    private const MOST_FLOATS = 1000;

    public function name(): string
    {
        return 'place';
    }

    public function about(): string
    {
        return 'Frames and floats: where each float lies, and its corners after turning.';
    }

    public function schema(): array
    {
        $length = [
            'type' => 'string',
            'pattern' => '^-?[0-9]{1,6}(\\.[0-9]{1,3})?(px|%)$',
            'description' => 'within 100000; a size is above 0',
        ];
        $float = Schema::object(
            [
                'id' => Schema::id(),
                'frame' => Schema::id(),
                'anchor' => ['enum' => array_column(Anchor::cases(), 'value')],
                'offset' => Schema::tuple($length, 2),
                'size' => Schema::tuple($length, 2),
                'turn' => ['type' => 'number', 'minimum' => -359.99, 'maximum' => 359.99],
            ],
            ['id', 'frame', 'anchor', 'offset', 'size'],
        );

        return Schema::object(
            [
                'size' => Schema::size(),
                'frames' => ['type' => 'object', 'additionalProperties' => Schema::rect()],
                'floats' => [
                    'type' => 'array',
                    'items' => $float,
                    'maxItems' => self::MOST_FLOATS,
                    'description' => 'every id once; a frame is canvas or a key of frames',
                ],
            ],
            ['size', 'floats'],
        );
    }

    public function run(Input $input): array
    {
        $input->keys(['size', 'frames', 'floats']);
        $canvas = Size::parse($input->child('size'));
        $frames =
            ['canvas' => $canvas->rect()] +
            ($input->has('frames') ? array_map(Rect::parse(...), $input->child('frames')->members()) : []);
        $floats = $findings = [];
        foreach ($input->list('floats', self::MOST_FLOATS) as $float) {
            $id = $float->id('id');
            if (isset($floats[$id])) {
                throw Refusal::because('document.id_taken', $float->pathTo('id'), ['id' => $id]);
            }
            $placed = self::placed($float, $frames);
            $floats[$id] = [
                'rect' => $placed->rect->toArray(),
                'outline' => array_map(
                    static fn (array $corner) => [self::px($corner[0]), self::px($corner[1])],
                    $placed->outline()->corners,
                ),
            ];
            foreach (Placing::beyond($placed, $canvas) as $finding) {
                $findings[] = Finding::of(
                    $finding->code,
                    $finding->severity,
                    $float->path,
                    $finding->params,
                )->toArray();
            }
        }

        return ['floats' => (object) $floats, 'findings' => $findings];
    }

    /** @param array<string, Rect> $frames */
    private static function placed(Input $input, array $frames): Placed
    {
        $input->keys(['id', 'frame', 'anchor', 'offset', 'size', 'turn']);
        $name = $input->id('frame');
        $frame =
            $frames[$name] ??
            throw Refusal::because('float.frame_unknown', $input->pathTo('frame'), [
                'frame' => $name,
                'known' => array_map(strval(...), array_keys($frames)),
            ]);
        $turn = $input->has('turn') ? $input->child('turn')->asHundredths(-35_999, 35_999) : 0;
        $place = new FloatPlace(
            $input->id('id'),
            FloatPlace::CANVAS,
            $input->enum('anchor', Anchor::class),
            FloatPlace::pair($input->list('offset', 2, 2)),
            FloatPlace::size($input),
            $turn,
        );

        return new Placed($place->zone, $place->rect($frame), $turn, 1, true);
    }

    private static function px(int $thousandths): float|int
    {
        return $thousandths % 1000 === 0 ? intdiv($thousandths, 1000) : $thousandths / 1000;
    }
}
