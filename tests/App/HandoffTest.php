<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Opis\JsonSchema\Validator;
use UpperPane\App\Entity\ReleasePlan;
use UpperPane\App\Repository\MediaLibrary;
use UpperPane\App\UseCase\Handoff\CompileAgain;
use UpperPane\App\UseCase\Handoff\RebuildInputs;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Demo\Sketch;

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
        $asked = (int) (microtime(true) * 1000);
        $given = $this->handOff('gate-1', $release['release'], after: 1);
        self::assertGreaterThanOrEqual($asked + 4000, $given['ordered']['start_ms'], 'players have 4 s to take it');
        $paired = $this->pair('gate-1');
        $orders = json_decode((string) file_get_contents($this->published($paired['orders'])), true);
        $programme = (string) file_get_contents($this->published($orders['programme']['url']));
        $interval = self::lastOf(json_decode($programme, true));
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
        $sheet = $orders['sheets'][$interval['plan']['sha256']][json_decode($plan, true)['sheet']];
        self::assertSame(
            $sheet['sha256'],
            hash_file('sha256', $this->published($sheet['url'])),
            'orders say which sheet the key of the plan is',
        );
        $almanac = $this->read($orders['almanac']['url']);
        self::assertSame(
            [$orders['almanac']['sha256'], 'Europe/London', true],
            [
                hash_file('sha256', $this->published($orders['almanac']['url'])),
                $almanac['zone'],
                $almanac['from_ms'] <= $asked && $asked < $almanac['days'][1],
            ],
            'and the almanac of today',
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
        $gate = $this->handed('gate-1');
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
        $this->handOff('gate-1', $second['release']);
        [$next, $later] = $read();
        // As it is after the clock went back, or a backup of a server that was ahead came.
        self::database()->executeStatement("UPDATE player SET orders_number = 9000000000000 WHERE code = 'gate-1'");
        $back = $this->handOff('gate-1', $gate['ordered']['release']);
        self::assertSame(9_000_000_000_001, $read()[0]);

        self::assertSame([true, true], [$next > $number, $later > $time]);
        self::assertSame($gate['ordered']['number'], $back['ordered']['number']);
        self::assertSame(
            'hand_off.changed',
            $this->handOff('gate-1', $second['release'], 409, $gate['after'])['code'],
            'made on what was there before',
        );
        self::assertSame('hand_off.other_surface', $this->handOff('gate-2', $second['release'], 409)['code']);
    }

    /**
     * All players of a surface follow one programme; what shows already goes on from its own start, whatever is handed
     * off (model §6), and where a player says it shows decides for itself.
     */
    public function testPlayersOfASurfaceShareOneProgramme(): void
    {
        $this->signIn('ada');
        $sheet = $this->call('GET', '/api/surfaces/gate-1');
        $this->edit(
            [['do' => 'player.add', 'player' => 'gate-1-2', 'outputs' => 1]],
            $sheet['revision'],
            document: $sheet['document'],
        );
        $files = array_map(fn (string $player) => $this->pair($player)['orders'], ['gate-1', 'gate-1-2']);
        $programmes = fn (): array => array_map(
            fn (string $orders): array => $this->read($this->read($orders)['programme']['url']),
            $files,
        );
        $first = $programmes();
        self::assertSame($first[0], $first[1]);

        $again = $this->handOff('gate-1', $this->handed('gate-1')['ordered']['release']);
        [$one, $two] = $programmes();
        self::assertSame($one, $two);
        self::assertSame(
            [$first[0]['number'] + 1, self::lastOf($first[0])['start_ms']],
            [$one['number'], self::lastOf($one)['start_ms']],
            'the same plan goes on',
        );
        $handed = $this->call('GET', '/api/surfaces/gate-1')['handed'];
        self::assertSame(self::lastOf($one)['start_ms'], $handed['start_ms'], 'its still on the Elevation too');
        self::assertGreaterThan(self::lastOf($one)['start_ms'], self::lastOf($one)['from_ms']);
        self::assertSame(['waiting', 'waiting'], array_column($again['players'], 'state'));

        $changed = $this->edit([Sketch::fill('z-notice', Sketch::colour('#102030'))], 1, document: self::GATE);
        $other = $this->call(
            'POST',
            '/api/designs/'.self::GATE.'/releases',
            ['revision' => $changed['revision'], 'note' => 'Other', 'made_as' => self::uuid()],
            201,
        );
        $this->handOff('gate-1', $other['release']);
        [$waits, $new] = array_slice($programmes()[1]['intervals'], -2);
        self::assertSame($new['from_ms'], $new['start_ms'], 'another plan begins');
        self::assertSame(
            [self::lastOf($one)['start_ms'], $new['from_ms']],
            [$waits['start_ms'], $waits['until_ms']],
            'what waited for its instant shows until then',
        );
        foreach ([$waits, $new] as $interval) {
            self::assertSame(
                $interval['plan']['sha256'],
                hash_file('sha256', $this->published($interval['plan']['base'].'plan.json')),
            );
            self::assertArrayHasKey($interval['plan']['sha256'], $this->read($files[0])['sheets']);
        }
    }

    /** What a player shows where nothing holds is compiled for its surface, and proves itself. */
    public function testTheIdleCardIsSealedWithTheProgramme(): void
    {
        $this->signIn();
        $this->handOff('gate-1', $this->handed('gate-1')['ordered']['release']);
        $programme = $this->read($this->read($this->pair('gate-1')['orders'])['programme']['url']);
        $card = (string) file_get_contents($this->published($programme['idle']['base'].'plan.json'));
        $plan = json_decode($card, true);

        self::assertSame($programme['idle']['sha256'], hash('sha256', $card));
        self::assertSame([1080, 1920], $plan['canvas']);
        self::assertSame('Gate 1 totem', $plan['scenes']['s-idle']['zones'][0]['items'][0]['lines'][0]['text']);
    }

    public function testAProofIsHeldAgainstTheRelease(): void
    {
        $this->signIn();
        $paired = $this->pair('gate-1');
        $gate = $this->handed('gate-1');
        $shown = array_fill_keys(['z-0b0c1d00', 'z-view', 'z-notice', 'z-clock'], null);
        $prove = fn (?int $release, array $zones, array $more = []) => $this->call(
            'POST',
            '/api/play/gate-1/proof',
            [
                'release' => $release,
                'at_ms' => $gate['ordered']['start_ms'] + 5000,
                'offset_ms' => 0,
                'stepped' => false,
                'zones' => $zones,
            ] + $more,
            204,
            ['HTTP_AUTHORIZATION' => 'Bearer '.$paired['token']],
        );
        $state = fn () => $this->handed('gate-1')['players'][0];

        $prove($gate['ordered']['release'], $shown);
        self::assertSame('proven', $state()['state']);
        self::assertNull($state()['shows']['outputs'], 'one page shows all');
        $output = static fn (int $number, int $offset) => [
            'number' => $number,
            'plan' => str_repeat('a', 64),
            'offset_ms' => $offset,
        ];
        foreach ([[34, true], [35, false]] as [$apart, $agree]) {
            $prove($gate['ordered']['release'], $shown, ['outputs' => [$output(1, 0), $output(2, $apart)]]);
            self::assertSame(['numbers' => [1, 2], 'agree' => $agree], $state()['shows']['outputs']);
        }
        $other = ['plan' => str_repeat('b', 64)] + $output(2, 0);
        $prove($gate['ordered']['release'], $shown, ['outputs' => [$output(1, 0), $other]]);
        self::assertFalse($state()['shows']['outputs']['agree'], 'another plan');
        $prove($gate['ordered']['release'], ['z-view' => 'something'] + $shown);
        self::assertSame(['different', ['B']], [$state()['state'], $state()['shows']['differences']]);
        $prove(0, $shown);
        self::assertSame('waiting', $state()['state'], 'another release is no proof of this one');

        $sha256 = $this->read($paired['orders'])['programme']['sha256'];
        $interval = self::lastOf($this->read($this->read($paired['orders'])['programme']['url']));
        $named = ['programme' => $sha256, 'plan' => $interval['plan']['sha256']];
        $prove($gate['ordered']['release'], $shown, $named);
        self::assertSame('proven', $state()['state'], 'by programme and plan');
        $prove(null, $shown, ['plan' => str_repeat('0', 64)] + $named);
        self::assertSame('different', $state()['state'], 'another plan than the programme says');
        $prove($gate['ordered']['release'], $shown, ['programme' => str_repeat('0', 64)] + $named);
        self::assertSame('waiting', $state()['state'], 'another programme is no proof of this one');
    }

    /**
     * A release seals what it was compiled of: the same bytes come of it whatever became of design, house style, Stock
     * and sheet; and each of these that is another now is named as newer than what is released.
     */
    public function testInputsAreSealedAndWhatIsNewerIsNamed(): void
    {
        $this->signIn('ada');
        $this->call('POST', '/api/sites/harrowmere/styles', ['style' => $id = self::uuid(), 'name' => 'Lake'], 201);
        $colour = fn (string $hex, int $revision) => $this->edit(
            [['do' => 'style.colour', 'id' => 'c-lake', 'colour' => ['name' => 'Lake', 'hex' => $hex]]],
            $revision,
            document: $id,
        );
        $styled = $colour('#276B62', 0)['revision'];
        $words = Sketch::fill('z-notice', Sketch::text('Mind the step', 60, ['ground' => 'c-lake@#276B62']));
        $edited = $this->edit(
            [['do' => 'design.style', 'style' => $id], $words],
            $this->call('GET', '/api/documents/'.self::GATE)['revision'],
            document: self::GATE,
        );
        $made = $this->call(
            'POST',
            '/api/designs/'.self::GATE.'/releases',
            ['revision' => $edited['revision'], 'note' => '', 'made_as' => self::uuid()],
            201,
        );
        $why = fn (): array => array_map(
            static fn (array $one) => "$one[what] $one[name]",
            array_column($this->handed('gate-1')['newer'], 'why', 'id')[self::GATE] ?? [],
        );
        self::assertSame([], $why());

        $colour('#1F4E79', $styled);
        self::assertSame(['style Lake'], $why());
        $this->edit([Sketch::fill('z-clock', Sketch::colour('#101010'))], $edited['revision'], document: self::GATE);
        $sheet = $this->call('GET', '/api/surfaces/gate-1');
        $this->edit(
            [['do' => 'field.set', 'field' => 'viewing_mm', 'value' => [500, 9000]]],
            $sheet['revision'],
            document: $sheet['document'],
        );
        self::database()->executeStatement("UPDATE media SET width = width + 2 WHERE name = 'Totem view.jpg'");
        self::getContainer()->get(MediaLibrary::class)->reset();
        self::assertSame(['design ', 'style Lake', 'sheet Gate 1 totem', 'media Totem view.jpg'], $why());
        self::assertSame(
            array_column($this->handed('gate-1')['newer'], 'why', 'id')[self::GATE] ?? [],
            $this->call('GET', '/api/designs/'.self::GATE.'/releases')['newer'],
            'the bench says the same',
        );
        $this->step('undo', document: self::GATE);
        self::assertNotContains('design ', $why(), 'what was taken back is no change');

        $entities = self::getContainer()->get('doctrine.orm.entity_manager');
        $plan = $entities->getRepository(ReleasePlan::class)->findOneBy(['release' => $made['release']]);
        self::assertInstanceOf(ReleasePlan::class, $plan);
        $again = (self::getContainer()->get(CompileAgain::class))($plan);
        self::assertSame($plan->sha256, CanonicalJson::sha256($again->toArray()));
    }

    /** A release of before there were inputs gets what can be known of them, marked so; its plan stays. */
    public function testInputsOfOlderReleasesAreRebuilt(): void
    {
        $this->signIn();
        $before = self::database()->fetchFirstColumn('SELECT sha256 FROM release_plan ORDER BY id');
        self::database()->executeStatement('UPDATE release_plan SET inputs = NULL, made_of = NULL');
        self::assertNotSame('', self::getContainer()->get(RebuildInputs::class)->run());
        self::assertSame('', self::getContainer()->get(RebuildInputs::class)->run());

        self::assertSame($before, self::database()->fetchFirstColumn('SELECT sha256 FROM release_plan ORDER BY id'));
        $rows = self::database()->fetchAllAssociative('SELECT inputs, rebuilt FROM release_plan');
        self::assertNotContains(null, array_column($rows, 'inputs'));
        self::assertSame([1], array_values(array_unique(array_column($rows, 'rebuilt'))));
        self::assertSame([], array_column($this->handed('gate-1')['newer'], 'why', 'id')[self::GATE] ?? []);
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
}
