<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use UpperPane\App\Adapter\ShiftedClock;
use UpperPane\App\UseCase\Act\PublishActs;

/** Acts: done once, for whom they are aimed at, by whom it may; in force before the answer comes, and cleared. */
final class ActsTest extends ApiCase
{
    public function testAnActIsWrittenForItsPlayersAndCleared(): void
    {
        $this->signIn('olga');
        $act = ['act' => self::uuid(), 'kind' => 'standby', 'targets' => ['surface:gate-1']];
        $made = $this->call('POST', '/api/sites/harrowmere/acts', $act, 201);
        self::assertSame($made['id'], $this->call('POST', '/api/sites/harrowmere/acts', $act, 201)['id'], 'once');
        self::assertTrue($made['until_cleared']);
        $before = $this->file();
        self::assertSame([[$act['act'], ['gate-1']]], array_map(
            static fn (array $line) => [$line['id'], $line['players']],
            $before['list'],
        ));
        self::assertSame(
            [['standby', 'Olga Lindqvist']],
            array_map(
                static fn (array $one) => [$one['kind'], $one['by']],
                $this->call('GET', '/api/sites/harrowmere/acts')['acts'],
            ),
        );
        self::assertCount(1, $this->handed('gate-1')['acts']);
        self::assertSame([], $this->handed('gate-2')['acts']);

        $this->call('POST', "/api/acts/$act[act]/clear", null, 204);
        $this->call('POST', "/api/acts/$act[act]/clear", null, 204);
        $after = $this->file();
        self::assertSame([], $after['list']);
        self::assertGreaterThan($before['number'], $after['number']);
        self::assertSame([], $this->call('GET', '/api/sites/harrowmere/acts')['acts']);
        self::assertSame(
            ['act.standby', 'act.clear', 'act.clear'],
            self::database()->fetchFirstColumn('SELECT action FROM audit WHERE subject = ? ORDER BY id', [$act['act']]),
        );
    }

    /** Standby is for who hands off; which screen is which, also for who pairs; an editor does neither. */
    public function testWhoMay(): void
    {
        $ask = fn (string $kind, int $status, string $target = 'player:gate-1') => $this->call(
            'POST',
            '/api/sites/harrowmere/acts',
            ['act' => self::uuid(), 'kind' => $kind, 'targets' => [$target]],
            $status,
        );
        $this->signIn('theo');
        $identify = $ask('identify', 201);
        $ask('standby', 403);
        $this->signIn('emil');
        $ask('identify', 403);
        $this->call('POST', "/api/acts/$identify[id]/clear", null, 403);
        $this->signIn('olga');
        $ask('identify', 201, 'site');
        self::assertSame('act.target', $ask('standby', 422, 'surface:nowhere')['code']);
        self::assertSame('act.target', $ask('standby', 422, 'document:'.self::BOARD)['code']);
        self::assertSame('act.nobody', $ask('standby', 422, 'group:g-00000000')['code']);
        self::assertCount(2, $this->call('GET', '/api/sites/harrowmere/acts')['acts']);
    }

    /** Every node writes the file again; when nothing is another, it is left alone; what has ended goes by itself. */
    public function testEveryNodeWritesIt(): void
    {
        $this->signIn('olga');
        $act = ['act' => self::uuid(), 'kind' => 'identify', 'targets' => ['site']];
        $this->call('POST', '/api/sites/harrowmere/acts', $act, 201);
        $whole = $this->file();
        $publish = self::getContainer()->get(PublishActs::class);
        foreach (['', '{"acts": 1, "number": 7, "list": []}', '{"acts": 1, "numb'] as $lies) {
            file_put_contents($this->path(), $lies);
            $publish->all();
            self::assertSame($whole, $this->file(), 'whatever lies there');
        }
        unlink($this->path());
        $publish->all();
        self::assertSame($whole, $this->file());

        // Half a minute later.
        $later = new ShiftedClock('30001');
        $again = new PublishActs(
            self::getContainer()->get(\UpperPane\App\Repository\Acts::class),
            self::getContainer()->get(\UpperPane\App\Adapter\Published::class),
            self::database(),
            $later,
        );
        $again->all();
        self::assertSame([], $this->file()['list']);
    }

    /** With an act in force its standby is what proves, and what was on air says so. */
    public function testAProofFollowsTheAct(): void
    {
        $this->signIn();
        $paired = $this->pair('gate-1');
        $this->handOff('gate-1', (int) $this->handed('gate-1')['releases'][0]['release']);
        $orders = $this->orders($paired['orders']);
        $programme = $this->orders($orders['programme']['url']);
        $act = ['act' => self::uuid(), 'kind' => 'standby', 'targets' => ['group:nobody', 'player:gate-1']];
        self::assertSame('act.target', $this->call('POST', '/api/sites/harrowmere/acts', $act, 422)['code']);
        $act['targets'] = ['player:gate-1'];
        $from = $this->call('POST', '/api/sites/harrowmere/acts', $act, 201)['from_ms'];
        $prove = fn (int $at, array $said) => $this->call('POST', '/api/play/gate-1/proof', $said + [
            'release' => null,
            'programme' => $orders['programme']['sha256'],
            'at_ms' => $at,
            'offset_ms' => 0,
            'stepped' => false,
        ], 204, ['HTTP_AUTHORIZATION' => 'Bearer '.$paired['token']]);
        $standby = [
            'plan' => $programme['idle']['sha256'],
            'scene' => 's-idle',
            'zones' => ['z-idle' => null],
        ];
        $state = fn () => $this->handed('gate-1')['players'][0]['state'];

        $prove($from + 1000, $standby + ['act' => $act['act']]);
        self::assertSame('proven', $state());
        $shown = array_fill_keys(['z-0b0c1d00', 'z-view', 'z-notice', 'z-clock'], null);
        $ref = self::lastOf($programme)['plan'];
        $prove($from + 20_000, ['release' => $ref['release'], 'plan' => $ref['sha256'], 'zones' => $shown]);
        self::assertSame('different', $state(), 'it has not heard of the act');
        $prove($from + 20_000, $standby + ['act' => self::uuid()]);
        self::assertSame('different', $state(), 'an act that is none');
        $air = $this->call('GET', '/api/players/gate-1', status: 200)['on_air'];

        self::assertSame('denied', end($air)['heard']);
    }

    /** @return array<string, mixed> */
    private function file(): array
    {
        return json_decode((string) file_get_contents($this->path()), true);
    }

    private function path(): string
    {
        $key = self::database()->fetchOne("SELECT acts_key FROM site WHERE slug = 'harrowmere'");

        return getenv('UPPER_PANE_VAR')."/published/orders/acts-$key.json";
    }

    /** @return array<string, mixed> */
    private function orders(string $address): array
    {
        return json_decode((string) file_get_contents(getenv('UPPER_PANE_VAR')."/published$address"), true);
    }
}
