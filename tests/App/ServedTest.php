<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\App\Adapter\MediaSender;
use UpperPane\App\Security\HeadersListener;
use UpperPane\Tests\Support\Files;

/**
 * What nginx and PHP send together, as a browser gets it: nothing that is served can act, and every refusal is a
 * problem.
 */
final class ServedTest extends TestCase
{
    private const INERT = "default-src 'none'; sandbox";

    /** @return iterable<string, array{string, int, string}> path, status, policy */
    public static function addresses(): iterable
    {
        $own = HeadersListener::POLICY;
        yield 'the page' => ['/sign-in', 200, $own];
        yield 'the player’s page' => ['/play/booking-1', 200, HeadersListener::ofPlayers()];
        yield 'a mark' => ['/mark.svg', 200, $own];
        yield 'a script that is not there' => ['/build/assets/none.js', 404, $own];
        yield 'a font that is not there' => ['/fonts/none.ttf', 404, $own];
        yield 'a script among the fonts' => ['/fonts/manifest.php', 404, $own];
        yield 'the shell as a file' => ['/build/index.html', 404, $own];
        yield 'orders that are not there' => ['/orders/none.json', 404, $own];
        yield 'a release that is not there' => ['/released/none/plan.json', 404, self::INERT];
        yield 'stored media by their own name' => ['/stored/00/none', 404, $own];
        yield 'a problem by its own name' => ['/problem/404.json', 404, $own];
        yield 'an answer' => ['/api/me', 200, $own];
        yield 'one that is refused' => ['/api/sites/harrowmere/elevation', 401, $own];
        yield 'one that nobody knows' => ['/api/none', 404, $own];
        yield 'a medium without signing in' => ['/media/'.str_repeat('0', 64).'/original', 401, $own];
    }

    #[DataProvider('addresses')]
    public function testEveryAnswerSaysWhatItMayDo(string $path, int $status, string $policy): void
    {
        [$got, $headers, $body] = self::ask('GET', $path);

        self::assertSame($status, $got, $body);
        $expected = str_starts_with((string) ($headers['content-type'][0] ?? ''), 'application/problem')
            ? HeadersListener::POLICY
            : $policy;
        foreach (
            [
                'content-security-policy' => $expected,
                'x-content-type-options' => 'nosniff',
                'referrer-policy' => 'same-origin',
                'x-frame-options' => 'SAMEORIGIN',
            ] as $name => $value
        ) {
            self::assertSame([$value], $headers[$name] ?? [], "$path: $name, once");
        }
        self::assertArrayNotHasKey('x-powered-by', $headers);
        if ($status >= 400) {
            $this->assertProblem($status, $headers, $body);
        }
    }

    /** The licences of everything that browsers are sent: each library the front end names, and the faces. */
    public function testTheNoticesNameWhatIsServed(): void
    {
        [$status, , $body] = self::ask('GET', '/build/notices.txt');
        $package = json_decode((string) file_get_contents(\dirname(__DIR__, 2).'/package.json'), true);

        self::assertSame(200, $status);
        foreach ($package['dependencies'] as $name => $version) {
            self::assertMatchesRegularExpression('~^'.preg_quote("$name $version (").'~m', $body);
        }
        self::assertStringContainsString('Apache License', $body, 'Roboto');
        self::assertStringContainsString('Łukasz Dziedzic', $body, 'Lato');
    }

    /** @return iterable<string, array{string, string, int, int}> method, path, bytes, status */
    public static function large(): iterable
    {
        foreach (['/api/session', '/api/play/booking-1/proof', '/api/figures', '/api/none'] as $path) {
            yield "just over 1 MB to $path" => ['POST', $path, 1_048_577, 413];
        }
        yield 'a file of 3 MB from nobody' => ['POST', '/api/sites/harrowmere/stock', 3_000_000, 401];
        yield 'an address of 20,000 letters' => ['GET', '/api/'.str_repeat('a', 20_000), 0, 414];
    }

    /** 1 MB is the most, and a file of someone who may not send it is not read at all. */
    #[DataProvider('large')]
    public function testWhatIsTooLargeIsAProblemToo(string $method, string $path, int $bytes, int $status): void
    {
        [$got, $headers, $body] = self::ask($method, $path, str_repeat('x', $bytes));

        self::assertSame($status, $got, $body);
        $this->assertProblem($status, $headers, $body);
    }

    /** Signing in is for our own pages only, and in JSON: no form and no script of another site can do it. */
    /**
     * Every error of every location of the configuration, as far as a request can provoke it.
     *
     * @return iterable<string, array{string, int}>
     */
    public static function faults(): iterable
    {
        $host = 'Host: '.parse_url((string) getenv('UPPER_PANE_URL'), \PHP_URL_HOST);
        $configuration = (string) file_get_contents(\dirname(__DIR__, 2).'/config/servers/nginx.conf');
        preg_match_all('#location (?:=|~)? ?\^?(/[a-z./-]*)#', $configuration, $found);
        $paths = array_unique([...$found[1], '/build/assets/', '/mark.svg', '/api/me']);
        foreach ($paths as $path) {
            yield "a head of 60 kB for $path" => ["GET $path HTTP/1.1\r\n$host\r\nX: ".str_repeat('a', 60_000), 431];
            yield "a name that is none for $path" => ["GET $path HTTP/1.1\r\nHost: a b", 400];
            yield "no name for $path" => ["GET $path HTTP/1.1\r\nX: 1", 400];
            yield "a version of tomorrow for $path" => ["GET $path HTTP/9.1\r\n$host", 505];
            yield "a length that is none for $path" => ["POST $path HTTP/1.1\r\n$host\r\nContent-Length: x", 400];
        }
        foreach (['/build/assets/', '/fonts/', '/stand-in/', '/released/', '/orders/'] as $folder) {
            yield "the folder $folder" => ["GET $folder HTTP/1.1\r\n$host", 0];
        }
        $faces = glob(\dirname(__DIR__, 2).'/public/fonts/*.ttf') ?: [];
        foreach (['/mark.svg', '/fonts/'.basename($faces[0])] as $file) {
            yield "a part that $file has not" => ["GET $file HTTP/1.1\r\n$host\r\nRange: bytes=900000000-", 416];
            yield "$file if it is another" => ["GET $file HTTP/1.1\r\n$host\r\nIf-Match: \"x\"", 412];
            yield "$file sent" => ["POST $file HTTP/1.1\r\n$host\r\nContent-Length: 0", 405];
        }
        yield 'a way of sending that nobody knows' => ["POST /api/me HTTP/1.1\r\n$host\r\nTransfer-Encoding: x", 501];
        yield 'the Stock of a site that is not there' => ["POST /api/sites/none/stock HTTP/1.1\r\n$host", 0];
    }

    #[DataProvider('faults')]
    public function testEveryErrorOfTheServerIsAProblem(string $head, int $status): void
    {
        $at = (array) parse_url((string) getenv('UPPER_PANE_URL'));
        $socket = fsockopen((string) ($at['host'] ?? ''), (int) ($at['port'] ?? 80)) ?: self::fail('nobody answers');
        fwrite($socket, "$head\r\nConnection: close\r\n\r\n");
        $answer = (string) stream_get_contents($socket);
        fclose($socket);
        [$headers, $body] = explode("\r\n\r\n", $answer, 2) + [1 => ''];

        self::assertSame(1, preg_match('#^HTTP/1\.1 (\d+)#', $headers, $got), $answer);
        self::assertGreaterThanOrEqual(400, (int) $got[1], $answer);
        $status === 0 || self::assertSame($status, (int) $got[1], $answer);
        self::assertStringContainsString('application/problem+json', $headers, $answer);
        self::assertNotSame('', json_decode($body, true)['code'] ?? '', $body);
    }

    public function testOnlyOurOwnPagesSignIn(): void
    {
        $login = (string) json_encode(['email' => 'dina@harrowmere.example', 'password' => 'harrowmere']);
        foreach (
            [
                [204, []],
                [204, ['Origin: '.getenv('UPPER_PANE_URL')]],
                [403, ['Origin: https://elsewhere.example']],
                [403, ['Origin: null']],
                [403, ['Origin: http://127.0.0.1']],
                [415, ['Content-Type: text/plain']],
                [415, ['Content-Type: application/x-www-form-urlencoded']],
            ] as [$status, $more]
        ) {
            self::assertSame($status, self::ask('POST', '/api/session', $login, $more)[0], implode($more));
        }
    }

    /** What the worker makes of a file lies in folders that the web writes too, so that none shuts the other out. */
    public function testTheWorkerStoresAsTheWebDoes(): void
    {
        $cookie = self::signedIn('dina');
        $drawing = Files::bytes('own-'.bin2hex(random_bytes(4)).'.svg', '<svg xmlns="http://www.w3.org/2000/svg" '.
            'width="20" height="20" viewBox="0 0 20 20"><title>'.bin2hex(random_bytes(8)).'</title></svg>');
        [, , $body] = self::ask('POST', '/api/sites/harrowmere/stock', ['file' => new \CURLFile($drawing)], $cookie);
        $made = $sent = (array) json_decode($body, true);
        for ($until = time() + 60; $made['state'] === 'waiting' && time() < $until; usleep(50_000)) {
            [, , $body] = self::ask('GET', '/api/sites/harrowmere/stock', null, $cookie);
            $made = array_column(json_decode($body, true)['media'], null, 'id')[$sent['id']];
        }

        $owner = static fn (string $sha256) => fileowner(
            getenv('UPPER_PANE_VAR').'/media/'.substr($sha256, 0, 2)."/$sha256",
        );
        self::assertSame('ready', $made['state'], $body);
        self::assertNotSame($sent['sha256'], $made['sha256']);
        self::assertSame($owner($sent['sha256']), $owner($made['sha256']));
    }

    /** A picture that is also a script, uploaded: it is sent as the picture it is, and may run nothing. */
    public function testUploadedFilesAreInert(): void
    {
        $cookie = self::signedIn('dina');
        $picture = Files::bytes(
            'script.jpg',
            (string) file_get_contents(Files::picture('plain.jpg', 20, 20)).'*/alert(1)//',
        );
        [$status, , $body] = self::ask(
            'POST',
            '/api/sites/harrowmere/stock',
            ['file' => new \CURLFile($picture)],
            $cookie,
        );
        $media = (array) json_decode($body, true);
        self::assertSame(201, $status, $body);

        [$got, $headers, $sent] = self::ask('GET', "/media/{$media['sha256']}/original", null, $cookie);
        self::assertSame([200, (string) file_get_contents($picture)], [$got, $sent]);
        self::assertSame(
            [['image/jpeg'], [self::INERT], ['nosniff']],
            [$headers['content-type'], $headers['content-security-policy'], $headers['x-content-type-options']],
        );
        self::assertSame(404, self::ask('GET', '/media/'.str_repeat('0', 64).'/original', null, $cookie)[0]);

        [$gone] = self::ask('DELETE', "/api/stock/{$media['id']}", null, $cookie);
        self::assertSame(204, $gone);
        [$after, $kept] = self::ask('GET', "/media/{$media['sha256']}/original", null, $cookie);
        self::assertSame(404, $after, 'removed, it is not served any more');
        self::assertStringContainsString('no-store', $kept['cache-control'][0]);
    }

    /** A thumbnail that is not made yet is asked for again. */
    public function testWhatIsNotThereYetIsNotKept(): void
    {
        [$status, $headers] = self::ask(
            'GET',
            '/media/'.hash('sha256', 'x').'/thumbnail',
            null,
            self::signedIn('dina'),
        );
        self::assertSame(404, $status);
        self::assertStringContainsString('no-store', $headers['cache-control'][0]);
        [$status, $headers] = self::ask('GET', '/released/none/plan.json');
        self::assertSame([404, ['no-store']], [$status, $headers['cache-control']]);
    }

    /** nginx and PHP say the same, of ours and of pages that came as a ZIP. */
    public function testBothHaveOnePolicy(): void
    {
        $policies = ['headers.conf' => HeadersListener::POLICY, 'page.conf' => MediaSender::SANDBOX];
        foreach ($policies as $file => $policy) {
            self::assertStringContainsString(
                "\"$policy\"",
                (string) file_get_contents(\dirname(__DIR__, 2)."/config/servers/$file"),
            );
        }
    }

    /** @param array<string, list<string>> $headers */
    private function assertProblem(int $status, array $headers, string $body): void
    {
        self::assertSame(['application/problem+json'], $headers['content-type'] ?? [], $body);
        $problem = (array) json_decode($body, true);
        self::assertSame($status, $problem['status'] ?? null);
        foreach (['title', 'code', 'mend'] as $key) {
            self::assertNotSame('', $problem[$key] ?? '', "$body: $key");
        }
        self::assertArrayHasKey('path', $problem);
    }

    /** @return list<string> cookie and token of someone who has signed in */
    private static function signedIn(string $who): array
    {
        $login = (string) json_encode(['email' => "$who@harrowmere.example", 'password' => 'harrowmere']);
        [, $headers] = self::ask('POST', '/api/session', $login);
        $cookies = array_map(static fn (string $cookie) => explode(';', $cookie)[0], $headers['set-cookie']);
        $cookie = 'Cookie: '.implode('; ', $cookies);
        $me = json_decode(self::ask('GET', '/api/me', null, [$cookie])[2], true);

        return [$cookie, 'X-Csrf-Token: '.$me['person']['csrf']];
    }

    /**
     * @param string|array<string, \CURLFile>|null $body
     * @param list<string>                         $more
     *
     * @return list<string> with a type where none is said
     */
    private static function typed(string|array|null $body, array $more): array
    {
        $said = array_filter($more, static fn (string $line) => str_starts_with($line, 'Content-Type:')) !== [];

        return $said || is_array($body) ? $more : [...$more, 'Content-Type: application/json'];
    }

    /**
     * @param string|array<string, \CURLFile>|null $body
     * @param list<string>                         $more headers
     *
     * @return array{int, array<string, list<string>>, string} status, headers, body
     */
    private static function ask(string $method, string $path, string|array|null $body = null, array $more = []): array
    {
        $headers = [];
        $curl = curl_init(getenv('UPPER_PANE_URL').$path);
        self::assertNotFalse($curl);
        curl_setopt_array(
            $curl,
            [
                \CURLOPT_RETURNTRANSFER => true,
                \CURLOPT_CUSTOMREQUEST => $method,
                \CURLOPT_HTTPHEADER => [...self::typed($body, $more), 'Expect:'],
                \CURLOPT_HEADERFUNCTION => static function ($_, string $line) use (&$headers): int {
                    if (str_contains($line, ':')) {
                        [$name, $value] = explode(':', $line, 2);
                        $headers[strtolower(trim($name))][] = trim($value);
                    }

                    return strlen($line);
                },
            ] + ($body === null || $body === '' ? [] : [\CURLOPT_POSTFIELDS => $body]),
        );
        $answer = curl_exec($curl);

        return [(int) curl_getinfo($curl, \CURLINFO_RESPONSE_CODE), $headers, (string) $answer];
    }
}
