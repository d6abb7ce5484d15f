<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\Core\Site\NamedId;

/** Surfaces over HTTP: made, changed by several people, taken back, wired. */
final class SurfaceTest extends ApiCase
{
    private const TOTEM = ['panels' => [['native' => [1080, 1920], 'active_mm' => [604.8, 1075.2]]]];

    public function testASurfaceIsMadeOnceAndSlipsAreAskedAbout(): void
    {
        $this->signIn('theo');
        $body = [
            'made_as' => self::uuid(),
            'name' => 'Gate 3 totem',
            'kind' => 'LCD',
            'shape' => self::TOTEM,
            'portrait' => false,
        ];
        $asked = $this->call('POST', '/api/sites/harrowmere/surfaces', $body, 409);
        self::assertSame(['surface.asked', 'surface.looks_swapped'], [$asked['code'], $asked['questions'][0]['code']]);
        self::assertSame(
            ['surface' => 'gate-3-totem', 'repeated' => false],
            $this->call('POST', '/api/sites/harrowmere/surfaces', ['sure' => true] + $body, 201),
        );
        self::assertSame(
            ['surface' => 'gate-3-totem', 'repeated' => true],
            $this->call('POST', '/api/sites/harrowmere/surfaces', $body, 201),
        );

        $copy = $this->call(
            'POST',
            '/api/surfaces/gate-3-totem/duplicate',
            ['made_as' => self::uuid(), 'name' => 'Gate 3 totem'],
            201,
        );
        self::assertSame('gate-3-totem-2', $copy['surface']);
        $whole = $this->call('GET', '/api/surfaces/gate-3-totem-2', null, 200);
        self::assertSame(
            [[1080, 1920], 1, ['gate-3-totem-2-1' => 1]],
            [$whole['canvas'], count($whole['wiring']['outputs']), array_column($whole['feeding'], 'outputs', 'code')],
        );
        self::assertGreaterThan($this->call('GET', '/api/surfaces/gate-3-totem')['left_mm'], $whole['left_mm']);
    }

    public function testFieldsAreSetOnARevisionAndTakenBack(): void
    {
        $this->signIn('theo');
        $this->change('gate-1', 0, ['name' => 'North totem', 'groups' => [NamedId::Group->of('Gates')]]);
        $this->change('gate-1', 1, ['left_mm' => 2700]);
        $this->signIn();
        self::assertSame('document.changed_since', $this->change('gate-1', 1, ['left_mm' => 2800], 409)['code']);
        $versions = $this->change('gate-1', 0, ['name' => 'Totem of gate 1', 'floor_mm' => 400], 409);
        self::assertSame(
            [
                ['what' => 'field', 'field' => 'name', 'theirs' => 'North totem', 'yours' => 'Totem of gate 1'],
                2,
                'Theo Marchetti',
            ],
            [$versions['things'][0], $versions['revision'], $versions['params']['who']],
        );
        $mine = $this->change('gate-1', 0, ['floor_mm' => 400]);
        self::assertSame(
            ['North totem', 400, 3],
            [$mine['name'], $mine['floor_mm'], $mine['revision']],
            'other fields stand side by side',
        );

        self::assertSame(650, $this->step('undo', document: $this->document('gate-1'))['floor_mm']);
        self::assertSame(400, $this->step('redo', document: $this->document('gate-1'))['floor_mm']);
        $this->change('gate-1', 5, ['left_mm' => 2900]);
        $this->signIn('theo');
        self::assertSame('undo.changed_since', $this->step('undo', 409, document: $this->document('gate-1'))['code']);
        self::assertSame('undo.nothing', $this->step('redo', 409, document: $this->document('gate-1'))['code']);
    }

    public function testRefusesBesideTheFieldAndChangesNothing(): void
    {
        $this->signIn();
        $panel = self::TOTEM['panels'][0];
        $wrong = [
            [
                'input.range',
                '/commands/0/value/panels/0/native/0',
                ['shape' => ['panels' => [['native' => [100_001, 1080]] + $panel]]],
            ],
            [
                'input.range',
                '/commands/0/value/panels/0/native/1',
                ['shape' => ['panels' => [['native' => [1920, -5]] + $panel]]],
            ],
            [
                'input.type',
                '/commands/0/value/panels/0/native/0',
                ['shape' => ['panels' => [['native' => ['NaN', 1080]] + $panel]]],
            ],
            ['input.range', '/commands/0/value', ['left_mm' => 2_000_000]],
            [
                'area.outside',
                '/commands/0/value/0/rect',
                ['areas' => [['name' => 'a', 'unit' => 'px', 'rect' => [0, 0, 2000, 10]]]],
            ],
            ['input.choice', '/commands/0/field', ['colour' => 'red']],
        ];
        foreach ($wrong as [$code, $path, $set]) {
            $refused = $this->change('gate-1', 0, $set, 422);
            self::assertSame([$code, $path], [$refused['code'], $refused['path']]);
        }
        self::assertSame(0, $this->call('GET', '/api/surfaces/gate-1')['revision']);
    }

    public function testWhatIsInUseSaysByWhatBeforeItIsArchived(): void
    {
        $this->signIn('ada');
        $asked = $this->change('booking', 0, ['archived' => true], 409);
        self::assertSame(
            [['Booking office board'], ['booking-1']],
            [$asked['params']['designs'], $asked['params']['players']],
        );
        $this->change('booking', 0, ['archived' => true], 200, true);
        $elevation = $this->call('GET', '/api/sites/harrowmere/elevation', null, 200);
        self::assertSame(['booking'], array_column($elevation['archived'], 'code'));
        self::assertNotContains('booking', array_column($elevation['surfaces'], 'code'));
        $this->step('undo', document: $this->document('booking'));
        self::assertSame([], $this->call('GET', '/api/sites/harrowmere/elevation')['archived']);
    }

    public function testShowsWhatAChangeWouldDoToTheDesigns(): void
    {
        $this->signIn();
        $turned = ['panels' => [['native' => [1920, 1080], 'active_mm' => [1209.6, 680.4], 'rotation' => 90]]];
        $effects = $this->call('POST', '/api/surfaces/booking/effects', ['shape' => $turned], 200);
        self::assertSame([[1920, 1080], [1080, 1920]], [$effects['before']['canvas'], $effects['after']['canvas']]);
        self::assertSame('Booking office board', $effects['designs'][0]['name']);
        $area = array_sum(
            array_map(
                static fn (array $zone) => $zone['after'][2] * $zone['after'][3],
                $effects['designs'][0]['zones'],
            ),
        );
        self::assertSame(1080 * 1920, $area, 'the reflowed zones tile the new canvas');
        self::assertSame([0, 0, 1320, 880], $effects['designs'][0]['zones'][0]['before']);
        self::assertSame(0, $this->call('GET', '/api/surfaces/booking')['revision'], 'nothing was stored');
    }

    public function testAWallIsWiredAndItsCardsSayWhichPanelIsWhere(): void
    {
        $this->signIn('theo');
        $order = ['3', '2', '1', '6', '5', '4'];
        $wired = $this->call('POST', '/api/surfaces/hall/wire', ['way' => 'order', 'panels' => $order], 200);
        self::assertSame([], $wired['findings']);
        $whole = $this->edit(
            [['do' => 'output.wire', 'outputs' => $wired['outputs']]],
            0,
            document: $this->document('hall'),
        );
        self::assertSame(
            [$order, false],
            [
                array_map(static fn (array $output) => $output['slices'][0]['panel'], $whole['wiring']['outputs']),
                $whole['wiring']['automatic'],
            ],
        );
        $this->call('GET', '/api/play/hall-1/cards/1', null, 200);
        self::assertStringContainsString('>C 3<', (string) $this->response->getContent());
        self::assertSame('output.unknown', $this->call('GET', '/api/play/hall-1/cards/7', null, 422)['code']);

        $four = $this->edit(
            [['do' => 'player.outputs', 'player' => 'hall-1', 'outputs' => 4]],
            1,
            document: $this->document('hall'),
        );
        self::assertContains('output.beyond_player', array_column($four['wiring']['findings'], 'code'));
        $two = $this->edit(
            [['do' => 'player.add', 'player' => $four['next_player'], 'outputs' => 2]],
            2,
            document: $this->document('hall'),
        );
        self::assertSame(['hall-1' => 4, 'hall-2' => 2], array_column($two['feeding'], 'outputs', 'code'));
        self::assertSame(
            [],
            $this->call('POST', '/api/surfaces/hall/wire', ['way' => 'one_per_output'], 200)['findings'],
        );
        $ribbon = $this->call(
            'POST',
            '/api/surfaces/ribbon/wire',
            ['way' => 'folded', 'player' => 'ribbon-1', 'number' => 1, 'px' => [640, 480], 'line_px' => 320],
            200,
        );
        self::assertSame(
            [[0, 0, 320, 96], [0, 96, 320, 96], [0, 192, 320, 96]],
            array_column($ribbon['outputs'][0]['slices'], 'raster'),
        );
    }

    /** Players and their outputs are taken back like everything else; one that is paired stays. */
    public function testPlayersAreTakenBackToo(): void
    {
        $this->signIn('theo');
        $hall = $this->document('hall');
        $this->edit([['do' => 'player.outputs', 'player' => 'hall-1', 'outputs' => 4]], 0, document: $hall);
        $this->edit([['do' => 'player.add', 'player' => 'hall-2', 'outputs' => 2]], 1, document: $hall);
        $players = fn (array $whole) => array_column($whole['feeding'], 'outputs', 'code');

        self::assertSame(['hall-1' => 4], $players($this->step('undo', document: $hall)));
        self::assertSame(['hall-1' => 6], $players($this->step('undo', document: $hall)));
        self::assertSame(['hall-1' => 4], $players($this->step('redo', document: $hall)));
        $this->pair('booking-1');
        self::assertSame(
            'player.in_use',
            $this->edit(
                [['do' => 'player.remove', 'player' => 'booking-1']],
                0,
                422,
                document: $this->document('booking'),
            )['code'],
        );
        self::assertSame(
            'player.there',
            $this->edit([['do' => 'player.add', 'player' => 'booking-1', 'outputs' => 2]], 4, 422, document: $hall)[
                'code'
            ],
            'a code is one player’s, wherever it is',
        );
    }

    /**
     * @param array<string, mixed> $set
     *
     * @return array<string, mixed>
     */
    private function change(string $surface, int $revision, array $set, int $status = 200, bool $sure = false): array
    {
        $commands = array_map(
            static fn (string $field, mixed $value) => ['do' => 'field.set', 'field' => $field, 'value' => $value],
            array_keys($set),
            array_values($set),
        );

        return $this->edit($commands, $revision, $status, document: $this->document($surface), sure: $sure);
    }

    private function document(string $surface): string
    {
        return (string) $this->call('GET', "/api/surfaces/$surface", null, 200)['document'];
    }
}
