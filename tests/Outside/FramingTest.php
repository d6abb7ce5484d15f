<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpClient\HttpClient;
use UpperPane\App\Adapter\InsideNet;
use UpperPane\App\Adapter\PageLooker;
use UpperPane\Core\Web\Origin;
use UpperPane\Core\Web\WebState;
use UpperPane\Tests\Support\Chromium;
use UpperPane\Tests\Support\PageServer;

/** Whether a page lets itself be shown, against Chromium: the same headers, from the same and from another origin. */
final class FramingTest extends TestCase
{
    private const HEADERS = [
        [],
        ['X-Frame-Options: DENY'],
        ['X-Frame-Options: sameorigin'],
        ['X-Frame-Options: ALLOWALL'],
        ['X-Frame-Options: ALLOW-FROM http://127.0.0.1'],
        ['X-Frame-Options: SAMEORIGIN, SAMEORIGIN'],
        ['X-Frame-Options: SAMEORIGIN', 'X-Frame-Options: DENY'],
        ['X-Frame-Options: nonsense, other'],
        ["Content-Security-Policy: frame-ancestors 'none'"],
        ["Content-Security-Policy: frame-ancestors 'self'"],
        ['Content-Security-Policy: frame-ancestors *'],
        ['Content-Security-Policy: frame-ancestors'],
        ['Content-Security-Policy: frame-ancestors http:'],
        ['Content-Security-Policy: frame-ancestors https:'],
        ['Content-Security-Policy: frame-ancestors 127.0.0.1'],
        ['Content-Security-Policy: frame-ancestors 127.0.0.1:*'],
        ['Content-Security-Policy: frame-ancestors http://127.0.0.1:OWN'],
        ['Content-Security-Policy: frame-ancestors https://127.0.0.1:OWN'],
        ['Content-Security-Policy: frame-ancestors *.example http://signs.example 127.0.0.1:1'],
        ["Content-Security-Policy: default-src 'none'; script-src 'unsafe-inline'"],
        ["Content-Security-Policy: frame-ancestors *; frame-ancestors 'none'"],
        ["Content-Security-Policy: frame-ancestors *, frame-ancestors 'none'"],
        ['Content-Security-Policy: frame-ancestors *', 'X-Frame-Options: DENY'],
        ["Content-Security-Policy: FRAME-ANCESTORS 'SELF'", 'X-Frame-Options: ALLOWALL'],
        ["Content-Security-Policy-Report-Only: frame-ancestors 'none'"],
    ];

    public function testRefusesWhatChromiumRefuses(): void
    {
        [$own, $other] = [PageServer::start(), PageServer::start()];
        $browser = Chromium::open();
        try {
            $looker = new PageLooker(HttpClient::create(), new InsideNet('127.0.0.1,localhost'));
            $ancestor = Origin::of($own->origin);
            $frames = $ours = [];
            foreach ([$own, $other] as $from => $server) {
                foreach (self::HEADERS as $index => $headers) {
                    $headers = str_replace('OWN', (string) $ancestor?->port, $headers);
                    $name = ($from === 0 ? 'same origin: ' : 'another: ').implode(' + ', $headers);
                    $body = '<script>parent.postMessage('.json_encode($name).', "*")</script>';
                    $frames[$name] = $server->address($headers, $body);
                    $ours[$name] = $looker->look($frames[$name], $ancestor)->state === WebState::Shown;
                }
            }
            $browser->get($own->address([], '<!doctype html><title>Around</title>'));
            $theirs = $browser->executeAsyncScript(
                <<<'JS'
                const [frames, done] = arguments
                const shown = Object.fromEntries(Object.keys(frames).map((name) => [name, false]))
                addEventListener('message', (event) => { shown[event.data] = true })
                const loads = Object.values(frames).map((address) => new Promise((resolve) => {
                  const frame = document.createElement('iframe')
                  frame.setAttribute('sandbox', 'allow-scripts')
                  frame.onload = resolve
                  frame.src = address
                  document.body.append(frame)
                }))
                void Promise.all(loads).then(() => requestAnimationFrame(() => requestAnimationFrame(() => done(shown))))
                JS
                ,
                [$frames],
            );
            ksort($ours);
            ksort($theirs);
            self::assertSame($theirs, $ours);
            self::assertGreaterThan(10, count(array_filter($ours)));
            self::assertGreaterThan(10, count($ours) - count(array_filter($ours)));
        } finally {
            $browser->quit();
            $own->stop();
            $other->stop();
        }
    }

    public function testSaysWhenNothingComes(): void
    {
        $server = PageServer::start();
        $looker = new PageLooker(HttpClient::create(), new InsideNet('127.0.0.1,localhost'));
        self::assertSame('HTTP 404', $looker->look($server->address([], '', 404), null)->said);
        $moved = $server->address(['Location: '.$server->address(['X-Frame-Options: DENY'])], '', 302);
        self::assertSame('X-Frame-Options: DENY', $looker->look($moved, null)->said, 'where it leads counts');
        $server->stop();
        self::assertSame(WebState::Away, $looker->look($server->address([]), null)->state);
    }
}
