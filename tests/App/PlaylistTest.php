<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\Demo\Sketch;

/** A playlist of the Stock in zones of two designs: one change is seen in both, sealed with each; kept while used. */
final class PlaylistTest extends ApiCase
{
    private const GATE = '0b0c1d00-0000-4000-8000-000000000002';
    private const CANVAS = ['px' => [1080, 960], 'pitch_mm' => 0.5];

    public function testOneChangeIsSeenWhereverItIsShown(): void
    {
        $this->signIn();
        $list = $this->playlist('Offers');
        self::assertSame(
            ['Offers', 2, 6000, []],
            array_values(array_diff_key((array) $this->line($list), ['id' => 0, 'canvas' => 0])),
        );
        foreach ([self::BOARD => 'z-middle', self::GATE => 'z-view'] as $design => $zone) {
            $shown = $this->show($design, $zone, $list)['documents'][$zone];
            self::assertSame(['e1', 'e2'], array_column($shown['fill']['entries'], 'id'));
        }
        self::assertCount(2, $this->line($list)['used_by']);
        $release = $this->call('POST', '/api/designs/'.self::GATE.'/releases', [
            'revision' => $this->call('GET', '/api/documents/'.self::GATE)['revision'],
            'note' => '',
            'made_as' => self::uuid(),
        ], 201);
        self::assertSame([], $this->call('GET', '/api/designs/'.self::GATE.'/releases')['newer']);

        // One entry less in the Stock: both designs, what an open bench hears, and what is newer than released.
        $before = $this->call('GET', '/api/documents/'.self::GATE);
        $this->edit([['do' => 'entry.remove', 'zone' => $this->zone($list), 'entry' => 'e1']], 0, document: $list);
        foreach ([self::BOARD => 'z-middle', self::GATE => 'z-view'] as $design => $zone) {
            $plan = $this->call('GET', "/api/designs/$design/plan")['plan'];
            $zones = array_column(array_merge(...array_column(array_values($plan['scenes']), 'zones')), null, 'id');
            self::assertSame(['e2'], array_column($zones[$zone]['items'], 'entry'));
        }
        $now = $this->call('GET', '/api/documents/'.self::GATE);
        self::assertSame($before['revision'], $now['revision'], 'the design itself is as it was');
        self::assertNotSame($before['depends'], $now['depends']);
        self::assertSame(
            [['what' => 'playlist', 'name' => 'Offers']],
            $this->call('GET', '/api/designs/'.self::GATE.'/releases')['newer'],
        );
        // An edit of a page that has not heard is answered whole.
        $said = $this->call('POST', '/api/documents/'.self::GATE.'/batches', [
            'batch' => self::uuid(),
            'client' => self::uuid(),
            'revision' => $before['revision'],
            'depends' => $before['depends'],
            'commands' => [Sketch::name('z-view', 'Offers')],
        ], 200);
        self::assertSame(['e2'], array_column($said['documents']['z-view']['fill']['entries'], 'id'));
        self::assertGreaterThan(0, $release['release']);
    }

    public function testIsKeptWhileItIsUsed(): void
    {
        $this->signIn();
        $list = $this->playlist('Kept');
        $this->show(self::GATE, 'z-view', $list);
        $refused = $this->call('DELETE', "/api/documents/$list", status: 409);
        self::assertSame('document.in_use', $refused['code']);
        $this->step('undo', document: self::GATE);
        $this->call('DELETE', "/api/documents/$list", status: 204);
        self::assertNull($this->line($list));
        // Gone, it can be shown no more; brought back it can.
        $unknown = $this->show(self::GATE, 'z-view', $list, 422);
        self::assertSame(['playlist.unknown', '/commands/0/fill/of'], [$unknown['code'], $unknown['path']]);
        $this->call('POST', "/api/documents/$list/back", [], 204);
        $this->show(self::GATE, 'z-view', $list);
    }

    public function testRefusesWhatIsNoPlaylist(): void
    {
        $this->signIn();
        // A design is none, nor is another site's playlist, and a playlist shows no other.
        self::assertSame('playlist.unknown', $this->show(self::GATE, 'z-view', self::BOARD, 422)['code']);
        $list = $this->playlist('Here');
        $there = $this->playlist('There', 'aldermoor');
        self::assertSame('playlist.unknown', $this->show(self::GATE, 'z-view', $there, 422)['code']);
        self::assertSame('playlist.layout', $this->show($list, $this->zone($list), $list, 422)['code']);
        $text = ['design' => self::uuid(), 'name' => 'Text', 'canvas' => self::CANVAS] + [
            'list' => Sketch::text('Hi', 40),
        ];
        self::assertSame('playlist.layout', $this->call('POST', '/api/sites/harrowmere/playlists', $text, 422)['code']);
        $designs = $this->call('GET', '/api/sites/harrowmere/designs')['designs'];
        self::assertNotContains('Here', array_column($designs, 'name'));
        $this->signIn('olga');
        $this->call('POST', '/api/sites/harrowmere/playlists', ['design' => self::uuid()] + $text, 403);
    }

    private function playlist(string $name, string $site = 'harrowmere'): string
    {
        return $this->call('POST', "/api/sites/$site/playlists", [
            'design' => self::uuid(),
            'name' => $name,
            'canvas' => self::CANVAS,
            'list' => Sketch::playlist([[Sketch::colour('#112233'), 4000], [Sketch::colour('#223344'), 2000]]),
        ], 201)['design'];
    }

    /** @return array<string, mixed> */
    private function show(string $design, string $zone, string $list, int $status = 200): array
    {
        $revision = $this->call('GET', "/api/documents/$design")['revision'];
        $fill = ['kind' => 'playlist', 'entries' => [], 'of' => $list];

        return $this->edit([Sketch::fill($zone, $fill)], $revision, $status, document: $design);
    }

    private function zone(string $list): string
    {
        return (string) array_key_first($this->call('GET', "/api/documents/$list")['documents']);
    }

    /** @return ?array<string, mixed> */
    private function line(string $list): ?array
    {
        $lines = $this->call('GET', '/api/sites/harrowmere/playlists')['playlists'];

        return array_column($lines, null, 'id')[$list] ?? null;
    }
}
