<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Symfony\Component\Routing\RouterInterface;
use UpperPane\App\Security\RightsListener;
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
                if (is_string($rights) || $name === 'session_end') {
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
                    '{revision}' => '0',
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

    public function testAPlayersProofNeedsItsToken(): void
    {
        $proof = ['release' => 1, 'at_ms' => 0, 'offset_ms' => 0, 'stepped' => false, 'zones' => []];
        $paired = $this->call('POST', '/api/play/kiosk-1/pair', [], 200);
        $this->call('POST', '/api/play/kiosk-1/proof', $proof, 401);
        $this->call('POST', '/api/play/kiosk-1/proof', ['zones' => (object) []] + $proof, 204, [
            'HTTP_AUTHORIZATION' => 'Bearer '.$paired['token'],
        ]);
        self::assertSame('pairing.closed', $this->call('POST', '/api/play/kiosk-1/pair', [], 409)['code']);
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

    /** @return array<string, list<Role>|RightsListener::PUBLIC|RightsListener::PLAYER> */
    private function table(): array
    {
        return require \dirname(__DIR__, 2).'/config/rights.php';
    }
}
