<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\Core\Base\CanonicalJson;

/** One design for many surfaces or for none yet; designs found, duplicated, put away and brought back. */
final class DesignsTest extends ApiCase
{
    private const LIST = '/api/sites/harrowmere/designs';
    private const GATE = '0b0c1d00-0000-4000-8000-000000000002';

    public function testAReleaseHoldsAPlanPerSurfaceAndIsHandedToEach(): void
    {
        $this->signIn();
        $this->edit([['do' => 'design.surfaces', 'surfaces' => ['gate-2', 'booking']]], 1, document: self::GATE);
        $beside = $this->call('GET', '/api/designs/'.self::GATE.'/plans?surfaces=gate-1,gate-2,booking');
        $release = $this->release(2);
        $sealed = fn (string $code) => $this->call('GET', "/api/releases/{$release['release']}/plan?surface=$code");

        self::assertEqualsCanonicalizing(
            ['gate-1', 'gate-2', 'booking'],
            array_column($release['surfaces'], 'code'),
            'all that it is meant for, when none is named',
        );
        foreach ($beside['plans'] as ['surface' => $surface, 'plan' => $plan, 'findings' => $findings]) {
            self::assertSame(
                self::timeless($plan),
                self::timeless($sealed($surface['code'])['plan']),
                "what was seen there before: {$surface['name']}",
            );
            self::assertSame($findings, $sealed($surface['code'])['findings']);
        }
        self::assertSame([[1080, 1920], [1920, 1080]], [
            $sealed('gate-2')['plan']['canvas'],
            $sealed('booking')['plan']['canvas'],
        ]);

        foreach (['gate-2', 'booking'] as $code) {
            $player = $this->handed($code)['players'][0]['code'];
            $given = $this->handOff($code, $release['release']);
            self::assertSame($release['release'], $given['ordered']['release']);
            $paired = $this->pair($player);
            $orders = $this->read($paired['orders']);
            $interval = self::lastOf($this->read($orders['programme']['url']));
            self::assertSame(
                $sealed($code)['plan']['canvas'],
                $this->read($interval['plan']['base'].'plan.json')['canvas'],
                "$player gets the plan of its surface",
            );
        }
        self::assertSame('hand_off.other_surface', $this->handOff('kiosk', $release['release'], 409)['code']);
    }

    public function testAReleaseIsStoppedByWhatStopsItOnOneOfItsSurfacesAndNothingIsMade(): void
    {
        $this->signIn();
        $before = $this->call('GET', '/api/designs/'.self::GATE.'/releases');
        $empty = ['do' => 'fill.set', 'zone' => 'z-view', 'fill' => ['kind' => 'empty']];
        $area = $this->edit([$empty], 1, document: self::GATE);
        $stopped = $this->release($area['revision'], ['gate-1', 'gate-2'], 409);

        self::assertSame('release.stopped', $stopped['code']);
        self::assertCount(2, array_unique(array_column($stopped['findings'], 'surface')), 'each says where');
        self::assertSame($before['releases'], $this->call('GET', '/api/designs/'.self::GATE.'/releases')['releases']);
        self::assertSame('surface.unknown', $this->release($area['revision'], ['nowhere'], 422)['code']);
        self::assertSame('release.no_surface', $this->release($area['revision'], [], 409)['code']);
    }

    public function testADesignForASizeIsPlacedLaterAndThatIsUndone(): void
    {
        $this->signIn();
        $id = self::uuid();
        $size = ['design' => $id, 'name' => 'Pier banner', 'canvas' => ['px' => [1500, 300], 'pitch_mm' => 4.8]];
        $this->call('POST', '/api/sites/harrowmere/designs', $size, 201);
        $this->call('POST', '/api/sites/harrowmere/designs', $size, 201);
        $bench = $this->call('GET', "/api/documents/$id");
        $codes = static fn (array $answer) => array_column($answer['findings']['general'], 'code');

        self::assertSame([[1500, 300], null], [$bench['canvas'], $bench['surface']['code']]);
        self::assertContains('design.no_surface', $codes($bench));
        self::assertSame(
            'release.no_surface',
            $this->call(
                'POST',
                "/api/designs/$id/releases",
                ['revision' => 0, 'note' => '', 'made_as' => self::uuid()],
                409,
            )['code'],
        );
        $refused = $this->edit([['do' => 'design.surfaces', 'surfaces' => ['nowhere']]], 0, 422, document: $id);
        self::assertSame('surface.unknown', $refused['code']);
        $placed = $this->edit([['do' => 'design.surfaces', 'surfaces' => ['booking']]], 0, document: $id);
        self::assertSame(
            ['booking', [1500, 300], ['booking']],
            [$placed['surface']['code'], $placed['canvas'], $placed['surfaces']],
            'its own canvas stays; it is sized to the surface there',
        );
        self::assertNotContains('design.no_surface', $codes($placed));
        $designs = array_column($this->call('GET', '/api/surfaces/booking')['designs'], 'name');
        self::assertContains('Pier banner', $designs);
        $this->step('undo', document: $id);
        self::assertNull($this->call('GET', "/api/documents/$id")['surface']['code']);
        self::assertNotContains(
            'Pier banner',
            array_column($this->call('GET', '/api/surfaces/booking')['designs'], 'name'),
        );
        foreach ([[[0, 300], 4.8], [[1500, 300], 0.0], [[1500, 300], 'wide']] as [$px, $pitch]) {
            $wrong = ['design' => self::uuid(), 'canvas' => ['px' => $px, 'pitch_mm' => $pitch]] + $size;
            $this->call('POST', '/api/sites/harrowmere/designs', $wrong, 422);
        }
    }

    public function testDesignsAreFoundByNameSurfaceSizeWhoAndWhen(): void
    {
        $this->signIn();
        $find = fn (string $words, string $more = '') => array_column(
            $this->call('GET', self::LIST.'?find='.rawurlencode($words).$more, status: 200)['designs'],
            'name',
        );
        $all = $this->call('GET', '/api/sites/harrowmere/designs')['designs'];
        $gate = array_column($all, null, 'id')[self::GATE];

        foreach ([$gate['name'], 'GATE sailings', $gate['surfaces'][0], '1080x1920', '1080×1920 gate'] as $words) {
            self::assertContains($gate['name'], $find($words), $words);
        }
        self::assertContains($gate['name'], $find($gate['changed_by'].' '.substr($gate['changed_at'], 0, 10)));
        self::assertSame([], $find('gate nothing-of-the-kind'));
        self::assertSame([], $find('%'), 'a sign like any other');

        $this->edit([['do' => 'design.archive', 'archived' => true]], 1, document: self::GATE);
        self::assertNotContains($gate['name'], $find('gate'));
        self::assertContains($gate['name'], $find('gate', '&archived=1'));
        self::assertNotContains(
            $gate['name'],
            array_column($this->call('GET', '/api/surfaces/gate-1')['designs'], 'name'),
        );
        $this->step('undo', document: self::GATE);
        self::assertContains($gate['name'], $find('gate'));
        $this->signOut();
        $this->call('GET', '/api/sites/harrowmere/designs', status: 401);
    }

    public function testADuplicateIsTheSameDesignUnderAnotherName(): void
    {
        $this->signIn();
        $id = self::uuid();
        $copy = ['design' => $id, 'name' => 'Gate 3'];
        $this->call('POST', '/api/designs/'.self::GATE.'/duplicate', $copy, 201);
        $this->call('POST', '/api/designs/'.self::GATE.'/duplicate', $copy, 201);
        $one = $this->call('GET', '/api/designs/'.self::GATE.'/plan')['plan'];
        $other = $this->call('GET', "/api/designs/$id/plan")['plan'];

        self::assertSame(self::timeless($one), self::timeless($other));
        self::assertSame('Gate 3', $this->call('GET', "/api/documents/$id")['name']);
        $uses = array_column($this->call('GET', '/api/sites/harrowmere/stock')['media'], 'used_in', 'name');
        self::assertContains('Gate 3', $uses['Totem view.jpg'], 'what it shows stays in the Stock');
    }

    /**
     * @param list<string>|null $surfaces
     *
     * @return array<string, mixed>
     */
    private function release(int $revision, ?array $surfaces = null, int $status = 201): array
    {
        return $this->call(
            'POST',
            '/api/designs/'.self::GATE.'/releases',
            ['revision' => $revision, 'note' => '', 'made_as' => self::uuid()] +
                ($surfaces === null ? [] : ['surfaces' => $surfaces]),
            $status,
        );
    }

    /**
     * A plan but for the dates that it is looked at by.
     *
     * @param array<string, mixed> $plan
     */
    private static function timeless(array $plan): string
    {
        unset($plan['dates']);

        return CanonicalJson::encode($plan);
    }
}
