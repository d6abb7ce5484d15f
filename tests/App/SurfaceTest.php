<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

/** Surfaces over HTTP: made, changed by several people, taken back, wired. */
final class SurfaceTest extends ApiCase
{
    private const TOTEM = ['panels' => [['native' => [1080, 1920], 'active_mm' => [604.8, 1075.2]]]];

    public function testASurfaceIsMadeOnceAndSlipsAreAskedAbout(): void
    {
        $this->signIn('theo');
        $body = ['made_as' => self::uuid(), 'name' => 'Gate 3 totem', 'kind' => 'LCD', 'shape' => self::TOTEM, 'portrait' => false];
        $asked = $this->call('POST', '/api/sites/harrowmere/surfaces', $body, 409);
        self::assertSame(['surface.asked', 'surface.looks_swapped'], [$asked['code'], $asked['questions'][0]['code']]);
        self::assertSame(['surface' => 'gate-3-totem', 'repeated' => false], $this->call('POST', '/api/sites/harrowmere/surfaces', ['sure' => true] + $body, 201));
        self::assertSame(['surface' => 'gate-3-totem', 'repeated' => true], $this->call('POST', '/api/sites/harrowmere/surfaces', $body, 201));

        $copy = $this->call('POST', '/api/surfaces/gate-3-totem/duplicate', ['made_as' => self::uuid(), 'name' => 'Gate 3 totem'], 201);
        self::assertSame('gate-3-totem-2', $copy['surface']);
        $whole = $this->call('GET', '/api/surfaces/gate-3-totem-2', null, 200);
        self::assertSame([[1080, 1920], 1, [['code' => 'gate-3-totem-2-1', 'outputs' => 1, 'state' => 'empty']]], [$whole['canvas'], count($whole['wiring']['outputs']), $whole['players']]);
        self::assertGreaterThan($this->call('GET', '/api/surfaces/gate-3-totem')['left_mm'], $whole['left_mm']);
    }

    public function testFieldsAreSetOnARevisionAndTakenBack(): void
    {
        $this->signIn('theo');
        $this->change('gate-1', 0, ['name' => 'North totem', 'groups' => ['Gates', 'Quay']]);
        $this->change('gate-1', 1, ['left_mm' => 2700]);
        $this->signIn();
        self::assertSame('surface.changed_since', $this->change('gate-1', 1, ['left_mm' => 2800], 409)['code']);
        $versions = $this->change('gate-1', 0, ['name' => 'Totem of gate 1', 'floor_mm' => 400], 409);
        self::assertSame([['name' => 'North totem'], ['name' => 'Totem of gate 1'], 2], [$versions['theirs'], $versions['yours'], $versions['revision']]);
        $mine = $this->change('gate-1', 0, ['floor_mm' => 400]);
        self::assertSame(['North totem', 400, 3], [$mine['name'], $mine['floor_mm'], $mine['revision']], 'other fields stand side by side');

        self::assertSame(650, $this->call('POST', '/api/surfaces/gate-1/undo', [], 200)['floor_mm']);
        self::assertSame(400, $this->call('POST', '/api/surfaces/gate-1/redo', [], 200)['floor_mm']);
        $this->change('gate-1', 5, ['left_mm' => 2900]);
        $this->signIn('theo');
        self::assertSame('undo.changed_since', $this->call('POST', '/api/surfaces/gate-1/undo', [], 409)['code']);
        self::assertSame('undo.nothing', $this->call('POST', '/api/surfaces/gate-1/redo', [], 409)['code']);
    }

    public function testRefusesBesideTheFieldAndChangesNothing(): void
    {
        $this->signIn();
        $panel = self::TOTEM['panels'][0];
        $wrong = [
            ['input.range', '/set/shape/panels/0/native/0', ['shape' => ['panels' => [['native' => [100_001, 1080]] + $panel]]]],
            ['input.range', '/set/shape/panels/0/native/1', ['shape' => ['panels' => [['native' => [1920, -5]] + $panel]]]],
            ['input.type', '/set/shape/panels/0/native/0', ['shape' => ['panels' => [['native' => ['NaN', 1080]] + $panel]]]],
            ['input.range', '/set/left_mm', ['left_mm' => 2_000_000]],
            ['area.outside', '/set/areas/0/rect', ['areas' => [['name' => 'a', 'unit' => 'px', 'rect' => [0, 0, 2000, 10]]]]],
            ['input.unknown_key', '/set/colour', ['colour' => 'red']],
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
        self::assertSame(['design “Booking office board”', 'player booking-1'], $asked['params']['uses']);
        $this->change('booking', 0, ['archived' => true], 200, true);
        $elevation = $this->call('GET', '/api/sites/harrowmere/elevation', null, 200);
        self::assertSame(['booking'], array_column($elevation['archived'], 'code'));
        self::assertNotContains('booking', array_column($elevation['surfaces'], 'code'));
        $this->call('POST', '/api/surfaces/booking/undo', [], 200);
        self::assertSame([], $this->call('GET', '/api/sites/harrowmere/elevation')['archived']);
    }

    public function testShowsWhatAChangeWouldDoToTheDesigns(): void
    {
        $this->signIn();
        $turned = ['panels' => [['native' => [1920, 1080], 'active_mm' => [1209.6, 680.4], 'rotation' => 90]]];
        $effects = $this->call('POST', '/api/surfaces/booking/effects', ['set' => ['shape' => $turned]], 200);
        self::assertSame([[1920, 1080], [1080, 1920]], [$effects['before']['canvas'], $effects['after']['canvas']]);
        self::assertSame('Booking office board', $effects['designs'][0]['name']);
        $area = array_sum(array_map(static fn (array $zone) => $zone['after'][2] * $zone['after'][3], $effects['designs'][0]['zones']));
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
        $whole = $this->change('hall', 0, ['outputs' => $wired['outputs']]);
        self::assertSame([$order, false], [array_map(static fn (array $output) => $output['slices'][0]['panel'], $whole['wiring']['outputs']), $whole['wiring']['automatic']]);
        $this->call('GET', '/api/play/hall-1/cards/1', null, 200);
        self::assertStringContainsString('>C 3<', (string) $this->response->getContent());
        self::assertSame('output.unknown', $this->call('GET', '/api/play/hall-1/cards/7', null, 422)['code']);

        $this->call('POST', '/api/players/hall-1/outputs', ['outputs' => 4], 204);
        self::assertContains('output.beyond_player', array_column($this->call('GET', '/api/surfaces/hall')['wiring']['findings'], 'code'));
        self::assertSame('hall-2', $this->call('POST', '/api/surfaces/hall/players', ['outputs' => 2], 201)['player']);
        self::assertSame([], $this->call('POST', '/api/surfaces/hall/wire', ['way' => 'one_per_output'], 200)['findings']);
        $ribbon = $this->call('POST', '/api/surfaces/ribbon/wire', ['way' => 'folded', 'player' => 'ribbon-1', 'number' => 1, 'px' => [640, 480], 'line_px' => 320], 200);
        self::assertSame([[0, 0, 320, 96], [0, 96, 320, 96], [0, 192, 320, 96]], array_column($ribbon['outputs'][0]['slices'], 'raster'));
    }

    /**
     * @param array<string, mixed> $set
     *
     * @return array<string, mixed>
     */
    private function change(string $surface, int $revision, array $set, int $status = 200, bool $sure = false): array
    {
        return $this->call('POST', "/api/surfaces/$surface/changes", ['change' => self::uuid(), 'revision' => $revision, 'set' => $set, 'sure' => $sure], $status);
    }
}
