<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Opis\JsonSchema\Validator;

/** From a release to a player's files: sealed, ordered, switched, proven, rolled back. */
final class HandoffTest extends ApiCase
{
    private const GATE = '0b0c1d00-0000-4000-8000-000000000002';

    public function testAReleaseIsSealedAndLiesWhereAPlayerFetchesIt(): void
    {
        $this->signIn();
        $release = $this->call(
            'POST',
            '/api/designs/'.self::GATE.'/releases',
            ['revision' => 1, 'note' => 'Second', 'made_as' => self::uuid()],
            201,
        );
        $given = $this->call(
            'POST',
            '/api/players/gate-1/hand-off',
            ['release' => $release['release'], 'after' => 1, 'made_as' => self::uuid()],
            200,
        );
        $paired = $this->pair('gate-1');
        $orders = json_decode((string) file_get_contents($this->published($paired['orders'])), true);
        $programme = (string) file_get_contents($this->published($orders['programme']['url']));
        $interval = json_decode($programme, true)['intervals'][0];
        $plan = (string) file_get_contents($this->published($interval['plan']['base'].'plan.json'));

        self::assertSame([2, 'waiting'], [$given['ordered']['number'], $given['state']]);
        self::assertSame(
            [$orders['programme']['sha256'], $interval['plan']['sha256']],
            [hash('sha256', $programme), hash('sha256', $plan)],
            'programme and plan are those that were sealed',
        );
        self::assertSame(
            [$given['ordered']['start_ms'], null, 'round'],
            [$interval['from_ms'], $interval['until_ms'], $interval['shows']],
        );
        self::assertSame(
            json_decode($plan, true)['sheet'],
            hash_file('sha256', $this->published($interval['plan']['base'].'sheet.json')),
            'the sheet it wants lies beside it',
        );
        self::assertTrue(
            (new Validator())
                ->validate(
                    json_decode($plan),
                    (string) file_get_contents(\dirname(__DIR__, 2).'/docs/schema/plan.schema.json'),
                )
                ->isValid(),
        );
        foreach (json_decode($plan, true)['media'] as $medium) {
            self::assertSame(
                $medium['sha256'],
                hash_file('sha256', $this->published($interval['plan']['base'].$medium['sha256'])),
            );
        }
    }

    /**
     * Orders' numbers rise, and so does the file's modification time by at least a second per write: nginx compares
     * seconds.
     */
    public function testOrdersRiseAndRollingBackIsHandingOffAgain(): void
    {
        $this->signIn();
        $paired = $this->pair('gate-1');
        $file = $this->published($paired['orders']);
        $first = $this->call('GET', '/api/sites/harrowmere/hand-off');
        $gate = array_column($first['players'], null, 'code')['gate-1'];
        $read = static function () use ($file): array {
            clearstatcache();

            return [json_decode((string) file_get_contents($file), true)['number'], (int) filemtime($file)];
        };
        [$number, $time] = $read();
        $second = $this->call(
            'POST',
            '/api/designs/'.self::GATE.'/releases',
            ['revision' => 1, 'note' => '', 'made_as' => self::uuid()],
            201,
        );
        $this->call(
            'POST',
            '/api/players/gate-1/hand-off',
            ['release' => $second['release'], 'after' => $gate['after'], 'made_as' => self::uuid()],
            200,
        );
        [$next, $later] = $read();
        $back = $this->call(
            'POST',
            '/api/players/gate-1/hand-off',
            ['release' => $gate['ordered']['release'], 'after' => $gate['after'] + 1, 'made_as' => self::uuid()],
            200,
        );

        self::assertSame([$number + 1, true], [$next, $later > $time]);
        self::assertSame($gate['ordered']['number'], $back['ordered']['number']);
        self::assertSame(
            'hand_off.changed',
            $this->call(
                'POST',
                '/api/players/gate-1/hand-off',
                ['release' => $second['release'], 'after' => $gate['after'], 'made_as' => self::uuid()],
                409,
            )['code'],
            'made on what was there before',
        );
        self::assertSame(
            'hand_off.other_surface',
            $this->call(
                'POST',
                '/api/players/gate-2/hand-off',
                ['release' => $second['release'], 'after' => 0, 'made_as' => self::uuid()],
                409,
            )['code'],
        );
    }

    public function testAProofIsHeldAgainstTheRelease(): void
    {
        $this->signIn();
        $paired = $this->pair('gate-1');
        $gate = array_column($this->call('GET', '/api/sites/harrowmere/hand-off')['players'], null, 'code')['gate-1'];
        $shown = array_fill_keys(['z-0b0c1d00', 'z-view', 'z-notice', 'z-clock'], null);
        $prove = fn (int $release, array $zones) => $this->call(
            'POST',
            '/api/play/gate-1/proof',
            [
                'release' => $release,
                'at_ms' => $gate['ordered']['start_ms'] + 5000,
                'offset_ms' => 0,
                'stepped' => false,
                'zones' => $zones,
            ],
            204,
            ['HTTP_AUTHORIZATION' => 'Bearer '.$paired['token']],
        );
        $state = fn () => array_column($this->call('GET', '/api/sites/harrowmere/hand-off')['players'], null, 'code')[
            'gate-1'
        ];

        $prove($gate['ordered']['release'], $shown);
        self::assertSame('proven', $state()['state']);
        $prove($gate['ordered']['release'], ['z-view' => 'something'] + $shown);
        self::assertSame(['different', ['B']], [$state()['state'], $state()['shows']['differences']]);
        $prove(0, $shown);
        self::assertSame('waiting', $state()['state'], 'another release is no proof of this one');
    }

    public function testAStopBlocksAReleaseAndAnOldRevisionToo(): void
    {
        $this->signIn();
        $made = $this->call(
            'POST',
            '/api/surfaces/kiosk/designs',
            ['design' => ($id = self::uuid()), 'name' => 'Tickets'],
            201,
        );
        $stopped = $this->call(
            'POST',
            "/api/designs/$id/releases",
            ['revision' => 0, 'note' => '', 'made_as' => self::uuid()],
            409,
        );

        self::assertSame(['design' => $id], $made);
        self::assertSame(['release.stopped', 'zone.empty'], [$stopped['code'], $stopped['findings'][0]['code']]);
        self::assertSame(
            'release.revision',
            $this->call(
                'POST',
                '/api/designs/'.self::GATE.'/releases',
                ['revision' => 0, 'note' => '', 'made_as' => self::uuid()],
                409,
            )['code'],
        );
    }

    public function testWhatADesignUsesStaysInTheStock(): void
    {
        $this->signIn();
        $stock = array_column($this->call('GET', '/api/sites/harrowmere/stock')['media'], null, 'name');
        $refused = $this->call('DELETE', '/api/stock/'.$stock['Totem view.jpg']['id'], null, 409);
        $this->call('DELETE', '/api/stock/'.$stock['Evening crossing.webm']['id'], null, 204);

        self::assertSame(
            ['stock.in_use', ['Gate 1, sailings and notices', 'Gate 2, sailings and notices']],
            [$refused['code'], $refused['params']['designs']],
        );
        self::assertArrayNotHasKey(
            'Evening crossing.webm',
            array_column($this->call('GET', '/api/sites/harrowmere/stock')['media'], null, 'name'),
        );
    }

    private function published(string $address): string
    {
        return getenv('UPPER_PANE_VAR').'/published'.$address;
    }
}
