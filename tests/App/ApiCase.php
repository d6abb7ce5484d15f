<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use Doctrine\DBAL\Connection;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use UpperPane\App\Kernel;
use UpperPane\Tests\Support\Contract;

/** The app behind its HTTP interface, on the demo's data; every test's writes are rolled back. */
abstract class ApiCase extends KernelTestCase
{
    protected const BOARD = '0b0c1d00-0000-4000-8000-000000000005';
    protected Response $response;
    private string $csrf = '';

    /** Whether answers are those of docs/openapi.json. */
    protected bool $documented = true;

    /** @var array<string, string> */
    protected array $cookies = [];

    protected static function getKernelClass(): string
    {
        return Kernel::class;
    }

    protected function setUp(): void
    {
        self::bootKernel(['debug' => false]);
    }

    protected function signIn(string $who = 'dina'): void
    {
        $this->signOut();
        $this->call('POST', '/api/session', ['email' => "$who@harrowmere.example", 'password' => 'harrowmere'], 204);
        $this->csrf = (string) $this->call('GET', '/api/me')['person']['csrf'];
    }

    protected function signOut(): void
    {
        $this->cookies = [];
        $this->csrf = '';
    }

    /**
     * @param array<string, mixed>|null $body
     * @param array<string, string>     $server
     *
     * @return array<string, mixed>
     */
    protected function call(
        string $method,
        string $path,
        ?array $body = null,
        ?int $status = null,
        array $server = [],
    ): array {
        $this->raw($method, $path, $body === null ? '' : (string) json_encode($body), $server);
        if ($status !== null) {
            self::assertSame($status, $this->response->getStatusCode(), (string) $this->response->getContent());
        }

        return (array) json_decode((string) $this->response->getContent(), true);
    }

    /**
     * @param array<string, string>       $server
     * @param array<string, UploadedFile> $files
     */
    protected function raw(string $method, string $path, string $body, array $server = [], array $files = []): void
    {
        $kernel = self::$kernel ?? self::fail('no kernel');
        $kernel->getContainer()->get('services_resetter')->reset();
        $request = Request::create(
            $path,
            $method,
            cookies: $this->cookies,
            files: $files,
            server: $server + ['HTTP_X_CSRF_TOKEN' => $this->csrf, 'CONTENT_TYPE' => 'application/json'],
            content: $body,
        );
        $this->response = $kernel->handle($request);
        if ($this->documented) {
            Contract::assertKept((string) $request->attributes->get('_route'), $this->response);
        }
        foreach ($this->response->headers->getCookies() as $cookie) {
            $this->cookies[$cookie->getName()] = (string) $cookie->getValue();
        }
    }

    /**
     * @param list<array<string, mixed>> $commands
     * @param array<string, string>      $view
     *
     * @return array<string, mixed>
     */
    protected function edit(
        array $commands,
        int $revision,
        int $status = 200,
        ?string $batch = null,
        array $view = [],
        ?string $client = null,
        string $document = self::BOARD,
        bool $sure = false,
    ): array {
        return $this->call(
            'POST',
            "/api/documents/$document/batches",
            [
                'batch' => $batch ?? self::uuid(),
                'client' => $client ?? self::uuid(),
                'revision' => $revision,
                'commands' => $commands,
                'sure' => $sure,
            ] + ($view === [] ? [] : ['view' => $view]),
            $status,
        );
    }

    /**
     * @param string                $kind `undo` or `redo`
     * @param array<string, string> $view
     *
     * @return array<string, mixed>
     */
    protected function step(string $kind, int $status = 200, array $view = [], string $document = self::BOARD): array
    {
        return $this->call(
            'POST',
            "/api/documents/$document/$kind",
            ['batch' => self::uuid(), 'client' => self::uuid()] + ($view === [] ? [] : ['view' => $view]),
            $status,
        );
    }

    /**
     * A page with a token of its own, made the player by whoever is signed in.
     *
     * @return array{token: string, orders: string, name: string, state: string}
     */
    protected function pair(string $player): array
    {
        $token = bin2hex(random_bytes(24));
        $this->call('POST', "/api/players/$player/pairing", ['token' => $token], 204);
        $answer = $this->call('POST', "/api/play/$player/pair", null, 200, ['HTTP_AUTHORIZATION' => "Bearer $token"]);

        /** @var array{token: string, orders: string, name: string, state: string} */
        return ['token' => $token] + $answer;
    }

    /** @return array<string, mixed> what Hand-off says of a surface */
    protected function handed(string $surface): array
    {
        foreach ($this->call('GET', '/api/sites/harrowmere/hand-off', status: 200)['surfaces'] as $line) {
            if ($line['surface']['code'] === $surface) {
                return $line;
            }
        }
        self::fail("$surface has no player.");
    }

    /**
     * @param ?int $after the number of what it was handed last; null: as Hand-off says
     *
     * @return array<string, mixed>
     */
    protected function handOff(string $surface, int $release, int $status = 200, ?int $after = null): array
    {
        return $this->call(
            'POST',
            "/api/surfaces/$surface/hand-off",
            [
                'release' => $release,
                'after' => $after ?? $this->handed($surface)['after'],
                'made_as' => self::uuid(),
            ],
            $status,
        );
    }

    protected static function database(): Connection
    {
        return self::getContainer()->get('doctrine.dbal.default_connection');
    }

    protected static function uuid(): string
    {
        return \Symfony\Component\Uid\Uuid::v4()->toRfc4122();
    }

    /**
     * The last interval of a programme: before it may stand what the demo handed off moments ago, and waits.
     *
     * @param array<string, mixed> $programme
     *
     * @return array<string, mixed>
     */
    protected static function lastOf(array $programme): array
    {
        return $programme['intervals'][count($programme['intervals']) - 1];
    }

    /** @return array<string, mixed> what was published at an address */
    protected function read(string $address): array
    {
        return json_decode((string) file_get_contents($this->published($address)), true);
    }

    protected function published(string $address): string
    {
        return getenv('UPPER_PANE_VAR').'/published'.$address;
    }
}
