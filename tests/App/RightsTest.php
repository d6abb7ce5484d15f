<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Symfony\Component\Routing\RouterInterface;
use UpperPane\App\Security\RightsListener;
use UpperPane\Core\Site\NamedId;
use UpperPane\Core\Site\Role;
use UpperPane\Demo\Harrowmere;

/** Every route × every role, against the one table of rights. */
final class RightsTest extends ApiCase
{
    public function testEveryRouteIsInTheTable(): void
    {
        $routes = array_filter(
            array_keys(self::getContainer()->get(RouterInterface::class)->getRouteCollection()->all()),
            static fn (string $name) => !str_starts_with($name, '_'),
        );

        self::assertEqualsCanonicalizing(array_values($routes), array_keys($this->table()));
    }

    public function testEachRoleMayDoWhatTheTableSaysAndNoMore(): void
    {
        $router = self::getContainer()->get(RouterInterface::class);
        foreach ([null, ...Role::cases()] as $role) {
            $this->signOut();
            $role === null || $this->signIn(explode('@', Harrowmere::PEOPLE[$role->value][1])[0]);
            foreach ($this->table() as $name => $rights) {
                // What nginx asks says 403 of a site that is not there too: it passes no other answer on.
                if (is_string($rights) || in_array($name, ['session_end', 'stock_allowed'], true)) {
                    continue;
                }
                $route = $router->getRouteCollection()->get($name);
                $path = strtr((string) $route?->getPath(), [
                    '{id}' => 'none',
                    '{site}' => 'none',
                    '{surface}' => 'none',
                    '{code}' => 'none',
                    '{sha256}' => str_repeat('0', 64),
                    '{form}' => 'thumbnail',
                    '{tMs}' => '0',
                    '{release}' => '0',
                    '{revision}' => '0', '{kind}' => 'csv',
                ]);
                $this->call($route?->getMethods()[0] ?? 'GET', $path, []);
                $status = $this->response->getStatusCode();
                $expected = $role === null ? 401 : (in_array($role, $rights, true) ? null : 403);
                self::assertSame(
                    $expected,
                    in_array($status, [401, 403], true) ? $status : null,
                    ($role->value ?? 'nobody')." at $name got $status",
                );
            }
        }
    }

    /** Whoever has no role at a site reaches nothing of it, by whichever address; who has one sees all of it. */
    public function testNobodyReachesAnotherSite(): void
    {
        $this->signIn('dina');
        $design = self::uuid();
        $this->call('POST', '/api/surfaces/jetty/designs', ['design' => $design, 'name' => 'Jetty'], 201);
        $style = self::uuid();
        $this->call('POST', '/api/sites/aldermoor/styles', ['style' => $style, 'name' => 'Jetty'], 201);
        $this->call('POST', '/api/sites/aldermoor/uploads', null, 201, ['HTTP_UPLOAD_LENGTH' => '9']);
        $upload = basename((string) $this->response->headers->get('Location'));
        $media = (string) self::database()->fetchOne("SELECT id FROM media WHERE name = 'Evening crossing.webm'");
        self::database()->executeStatement(
            "UPDATE media SET site_id = (SELECT id FROM site WHERE slug = 'aldermoor') WHERE id = ?",
            [$media],
        );
        $there = ['{site}' => 'aldermoor', '{surface}' => 'jetty', '{code}' => 'jetty-1', '{id}' => $design];
        $paths = [];
        $any = ['{tMs}' => '0', '{revision}' => '0', '{kind}' => 'csv'];
        foreach (self::getContainer()->get(RouterInterface::class)->getRouteCollection() as $name => $route) {
            $path = match (true) {
                $name === 'site_when' => strtr($route->getPath(), $there).'?words=daily+6-9',
                $name === 'stock_uses' => strtr($route->getPath(), ['{id}' => $media]),
                str_starts_with($route->getPath(), '/api/styles/') => strtr($route->getPath(), ['{id}' => $style]),
                str_starts_with($route->getPath(), '/api/uploads/') => strtr($route->getPath(), ['{id}' => $upload]),
                default => strtr($route->getPath(), $there),
            };
            if (is_array($this->table()[$name] ?? null) && $path !== $route->getPath()) {
                $paths[$name] = [$route->getMethods()[0] ?? 'GET', strtr($path, $any)];
            }
        }
        self::assertGreaterThan(18, count($paths));
        // What is read before it is asked whether one may must be what it should be.
        $step = ['batch' => self::uuid(), 'client' => self::uuid()];
        $rename = ['do' => 'design.name', 'name' => 'Taken over'];
        $bodies = [
            'hand_off_give' => ['release' => 1, 'after' => 0, 'made_as' => self::uuid()],
            'document_edit' => $step + ['revision' => 1, 'commands' => [$rename]],
            'document_undo' => $step,
            'document_redo' => $step,
            'design_restore' => ['revision' => 0, 'to' => 0] + $step,
            'document_mend' => ['batch' => self::uuid()],
            'surface_make' => [
                'made_as' => self::uuid(),
                'name' => 'Theirs',
                'kind' => 'LCD',
                'shape' => ['panels' => [['native' => [1920, 1080], 'active_mm' => [1209.6, 680.4]]]],
            ],
        ];
        foreach (['ada' => true, 'dina' => true, 'emil' => false, 'olga' => false, 'theo' => false] as $who => $here) {
            $this->signIn($who);
            $other = [];
            foreach ($paths as $name => [$method, $path]) {
                // An upload is its sender's alone.
                if ($here && ($method !== 'GET' || str_starts_with($name, 'upload_'))) {
                    continue;
                }
                $this->raw($method, $path, (string) json_encode((object) ($bodies[$name] ?? [])));
                $status = $this->response->getStatusCode();
                if (!in_array($status, $here ? [200, 204] : [403, 404], true)) {
                    $other[$name] = "$status ".$this->response->getContent();
                }
            }
            self::assertSame([], $other, $who);
            // It is not even said that it is there.
            $this->call('GET', '/api/sites/aldermoor/stock', null, $here ? 200 : 404);
        }
    }

    /** A role on a surface, a group or a document reaches what lies there, and nothing beside it. */
    public function testARoleOnAThingReachesThatThingAlone(): void
    {
        $this->signIn('emil');
        $person = (int) self::database()->fetchOne("SELECT id FROM person WHERE email LIKE 'emil@%'");
        $site = (int) self::database()->fetchOne("SELECT id FROM site WHERE slug = 'harrowmere'");
        $give = static fn (string $thing, string $role) => self::database()->insert('access', [
            'person_id' => $person,
            'site_id' => $site,
            'role' => $role,
            'thing' => $thing,
        ]);
        $hand = fn (string $surface, int $status) => $this->call('POST', "/api/surfaces/$surface/hand-off", [
            'release' => 999_999,
            'after' => 0,
            'made_as' => self::uuid(),
        ], $status);
        $rename = [['do' => 'design.name', 'name' => 'Renamed']];
        $hand('cafe', 403);
        $this->edit($rename, 1, 403);
        $give('surface:cafe', 'operator');
        $give('group:'.NamedId::Group->of('Gates'), 'operator');
        $hand('cafe', 404);
        $hand('gate-1', 404);
        $hand('hall', 403);
        $give('document:'.self::BOARD, 'designer');
        $this->edit($rename, 1, 200);
        $this->edit($rename, 1, 403, document: '0b0c1d00-0000-4000-8000-000000000002');
        $me = $this->call('GET', '/api/me', null, 200)['person']['sites'][0];
        self::assertSame(
            [['see', 'fill'], ['document:'.self::BOARD, 'group:'.NamedId::Group->of('Gates'), 'surface:cafe']],
            [$me['rights'], $this->sorted(array_column($me['on'], 'thing'))],
        );
        self::database()->executeStatement("DELETE FROM access WHERE thing <> 'site'");
        $this->edit($rename, 2, 403);
    }

    /**
     * @param list<string> $names
     *
     * @return list<string>
     */
    private function sorted(array $names): array
    {
        sort($names);

        return $names;
    }

    /** What changes something for a person wants the token of their session, on every route. */
    public function testEveryWriteWantsTheSessionsToken(): void
    {
        $this->signIn('ada');
        $tried = 0;
        foreach (self::getContainer()->get(RouterInterface::class)->getRouteCollection() as $name => $route) {
            $method = $route->getMethods()[0] ?? 'GET';
            if ($method === 'GET' || !is_array($this->table()[$name] ?? null)) {
                continue;
            }
            ++$tried;
            foreach (['', 'wrong'] as $token) {
                $path = (string) preg_replace('/\{\w+\}/', 'none', $route->getPath());
                $answer = $this->call($method, $path, [], 403, ['HTTP_X_CSRF_TOKEN' => $token]);
                self::assertSame('session.csrf', $answer['code'], "$method $path");
            }
        }
        self::assertGreaterThan(12, $tried);
    }

    public function testAPlayersProofNeedsItsToken(): void
    {
        $proof = ['release' => 1, 'at_ms' => 0, 'offset_ms' => 0, 'stepped' => false, 'zones' => []];
        $this->signIn('theo');
        $paired = $this->pair('kiosk-1');
        $this->signOut();
        $this->call('POST', '/api/play/kiosk-1/proof', $proof, 401);
        $this->call('POST', '/api/play/kiosk-1/proof', ['zones' => (object) []] + $proof, 204, [
            'HTTP_AUTHORIZATION' => 'Bearer '.$paired['token'],
        ]);
    }

    public function testSignInWaitsAfterSeveralWrongPasswords(): void
    {
        foreach (['olga@harrowmere.example', 'nobody@harrowmere.example'] as $email) {
            $codes = [];
            for ($try = 0; $try < 6; ++$try) {
                $codes[] = $this->call('POST', '/api/session', ['email' => $email, 'password' => 'wrong'])['code'];
            }
            self::assertSame([...array_fill(0, 5, 'session.wrong'), 'session.wait'], $codes);
            self::assertNotNull($this->response->headers->get('Retry-After'));
        }
    }

    /**
     * A stranger who tries passwords makes the owner wait in strange browsers only; letters that merely look like the
     * address are another one, and the same address in capitals is the same (review of security, H2).
     */
    public function testAStrangerLocksNobodyOut(): void
    {
        $sign = fn (string $email, string $password) => $this->call('POST', '/api/session', [
            'email' => $email,
            'password' => $password,
        ])['code'] ?? 'in';
        self::assertSame('in', $sign('olga@harrowmere.example', 'harrowmere'));
        $known = $this->cookies;
        $this->signOut();
        foreach (['olga@harrowmere.example', 'OLGA@harrowmere.example'] as $email) {
            self::assertSame(['session.wrong', 'session.wrong'], [$sign($email, 'a'), $sign($email, 'b')], $email);
        }
        self::assertSame('session.wrong', $sign('Olga@harrowmere.example', 'c'));
        $last = $sign('olga@harrowmere.example', 'harrowmere');
        self::assertSame('session.wait', $last, 'the fifth wrong one was the last that is free');
        foreach (['òlga@harrowmere.example', 'ｏlga@harrowmere.example', "olga\u{200b}@harrowmere.example"] as $email) {
            self::assertSame('session.wrong', $sign($email, 'harrowmere'), 'it is nobody');
        }
        $this->cookies = ['upper_pane_known' => $known['upper_pane_known']];
        self::assertSame('in', $sign('olga@harrowmere.example', 'harrowmere'), 'in her own browser Olga goes on');
    }

    /** All of one address of the network together: fifty, then it waits. */
    public function testOneAddressOfTheNetworkHasItsMeasure(): void
    {
        self::database()->executeStatement('DELETE FROM sign_in_attempt');
        for ($try = 0; $try < 50; ++$try) {
            $this->call('POST', '/api/session', ['email' => "nobody$try@harrowmere.example", 'password' => 'x'], 401);
        }
        $this->call('POST', '/api/session', ['email' => 'dina@harrowmere.example', 'password' => 'harrowmere'], 429);
        $this->call(
            'POST',
            '/api/session',
            ['email' => 'dina@harrowmere.example', 'password' => 'harrowmere'],
            204,
            ['REMOTE_ADDR' => '192.0.2.7'],
        );
    }

    /** @return array<string, list<Role>|RightsListener::PUBLIC|RightsListener::PLAYER> */
    private function table(): array
    {
        return require \dirname(__DIR__, 2).'/config/rights.php';
    }
}
