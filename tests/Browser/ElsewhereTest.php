<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Symfony\Component\Process\Process;
use UpperPane\Tests\Support\Files;
use UpperPane\Tests\Support\Page;
use UpperPane\Tests\Support\PageServer;

/** What comes from elsewhere while it is shown: pages of the web and live pictures, on the bench and on a player. */
final class ElsewhereTest extends BrowserCase
{
    public function testAPageIsLookedAtShownAndHasAStillInItsPlace(): void
    {
        $server = PageServer::start();
        $this->expectRefusals('status of 422', 'ERR_CONNECTION_REFUSED', 'Refused to display');
        $page = $this->begun('Pages', 'web page');
        $page->typeIn('Address of the page', 'harrowmere.example')->see('Begin it with https://');
        $page->field('Address of the page')->clear();
        $page->typeIn('Address of the page', $server->address(['X-Frame-Options: DENY']));
        $page->see('does not let itself be shown in another page (X-Frame-Options: DENY)', 'aside');
        self::assertSame([], $page->all('iframe'), 'nobody sees an empty zone');

        // The page of others that is there: laid out for a telephone, scrolled, without an origin.
        $body = '<title>Theirs</title><body style="margin:0;height:3000px"><p>'.
            '<script>document.querySelector("p").textContent = `${origin} ${innerWidth}`</script>';
        $page->field('Address of the page')->clear();
        $page->typeIn('Address of the page', $server->address([], $body));
        $page->see('players that are reached by https do not load it', 'aside');
        $page->choose('Laid out for', 'a telephone, 390 px')->typeIn('Scrolled down by', '78');
        $page->choose('Picture when it cannot be had', 'Hall view.jpg');
        $box = fn (string $css): array => (array) $page->script(
            'return document.querySelector(arguments[0])?.getBoundingClientRect().toJSON() ?? { top: 0 }',
            $css,
        );
        $page->until('scrolled', fn () => $box('.pane-web iframe')['top'] < $box('.pane-zone')['top'] - 1
            && $page->all('.pane-web img') !== []);
        [$pane, $frame] = [$box('.pane-zone'), $box('.pane-web iframe')];
        self::assertEqualsWithDelta($pane['width'], $frame['width'], 0.5);
        self::assertEqualsWithDelta($pane['bottom'], $frame['bottom'], 3);
        self::assertEqualsWithDelta(78 / 390, ($pane['top'] - $frame['top']) / $pane['width'], 0.002);
        $this->assertAccessible($page);

        $this->release($page, 'A page');
        $this->handOff($page, 'cafe', 'Pages');
        $window = $this->page(960, 540)->open('/play/cafe-1');
        $this->pair($page, $window, 'cafe-1');
        $frame = $window->find('.pane-web iframe');
        $window->until('seen', fn () => $frame->getCSSValue('visibility') === 'visible');
        $window->browser->switchTo()->frame($frame);
        self::assertSame('null 390', $window->browser->findElement(WebDriverBy::tagName('p'))->getText());
        $window->browser->switchTo()->defaultContent();

        // Nobody serves it any more: the player starts anew and shows the picture.
        $server->stop();
        $window->open('/play/cafe-1');
        $window->until('the still', fn () => $window->script(
            'return (document.querySelector(".pane-web img")?.naturalWidth ?? 0) > 0',
        ));
        self::assertSame('hidden', $window->script('return document.querySelector("iframe").style.visibility'));
    }

    public function testALivePictureMovesAndAStreamThatIsGoneLeavesTheStill(): void
    {
        $this->expectRefusals('status of 422', 'ERR_CONNECTION_REFUSED');
        $page = $this->begun('Live', 'live picture');
        $page->see('shows a stand-in for a live picture', 'aside');
        $page->press('Play');
        foreach (['camera on the quay', 'television, with sound', 'test pattern with time code'] as $name) {
            $page->choose('Stand-in', $name);
            $drawn = fn (): string => (string) $page->script(
                'return document.querySelector(".pane-live canvas")?.toDataURL() ?? ""',
            );
            $page->until("$name moves", static function () use ($drawn) {
                static $first = '';
                $now = $drawn();
                $first = $first ?: $now;

                return strlen($now) > 3000 && $now !== $first;
            });
        }
        $page->choose('Comes from', 'a stream')->see('does not say where', 'aside');
        $page->typeIn('Address of the stream', 'rtsp://127.0.0.1/')->see('is no address of a stream');
        $page->field('Address of the stream')->clear();
        $gone = PageServer::start();
        $gone->stop();
        $page->typeIn('Address of the stream', "$gone->origin/none.mp4");
        $page->choose('Picture when it cannot be had', 'Hall view.jpg');
        $page->until('the still', fn () => $page->all('.pane-live img') !== []);
        self::assertSame('hidden', $page->script('return document.querySelector(".pane-live video").style.visibility'));
        $this->assertAccessible($page);
    }

    /** A page that came as a ZIP: with its script and its picture, in a sandbox, and on a player without the server. */
    public function testAPageOfTheStockIsShownFromThePackage(): void
    {
        $this->expectRefusals('net::ERR', 'Failed to load', 'Failed to fetch');
        $zip = Files::path('board.zip');
        $archive = new \ZipArchive();
        $archive->open($zip, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        $picture = (string) file_get_contents(Files::picture('dot.png', 40, 30));
        $archive->addFromString('index.html', '<!doctype html><p>-</p><img src="a/dot.png"><script src="run.js"></script>');
        $archive->addFromString('a/dot.png', $picture);
        $archive->addFromString('run.js', 'document.querySelector("p").textContent = `Tides of ${origin} '.
            '${document.images[0].complete || "soon"}`');
        $archive->close();
        $page = $this->page()->signIn()->open('/harrowmere/stock');
        $page->find('.media-card');
        $page->browser->findElement(WebDriverBy::cssSelector('.stock input[type=file]'))->sendKeys($zip);
        $page->until('made', fn () => str_contains($page->find('.media-grid')->getText(), 'all of it in one file'), 30);
        $page->click('a[href$="/elevation"]')->click('[data-surface="cafe"]');
        $page->typeIn('Name of the new design', 'Tides', Keys::ENTER)->see('Tides', '.title-block');
        $page->click('.pane-face')->press('Stock', '.tabs')->type('#shelf-search', 'board.zip')->press('Put into A');
        $this->assertTides($page);
        $this->release($page, 'Tides');
        $this->handOff($page, 'cafe', 'Tides');
        $window = $this->page(960, 540)->open('/play/cafe-1');
        $this->pair($page, $window, 'cafe-1');
        $this->assertTides($window);
        $tools = new ChromeDevToolsDriver($window->browser);
        $tools->execute('Network.enable');
        $gone = ['offline' => true, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1];
        $tools->execute('Network.emulateNetworkConditions', $gone);
        $window->browser->navigate()->refresh();
        $this->assertTides($window);
    }

    private function assertTides(Page $page): void
    {
        $page->until('seen', fn () => $page->find('.pane-web iframe')->getCSSValue('visibility') === 'visible', 30);
        $page->browser->switchTo()->frame($page->find('.pane-web iframe'));
        $page->see('Tides of null', 'p');
        $page->until('its picture', fn () => $page->script('return document.images[0].naturalWidth') === 40);
        $page->browser->switchTo()->defaultContent();
    }

    /** A stream in HLS (RFC 8216) from another server, and the capture device that Chromium has for tests. */
    public function testAStreamAndACaptureDevicePlayOnAPlayer(): void
    {
        $folder = dirname(Files::path('live.m3u8'));
        (new Process([
            ...['ffmpeg', '-v', 'error', '-y', '-f', 'lavfi', '-i', 'testsrc2=size=320x180:rate=25:duration=20'],
            ...['-c:v', 'libx264', '-preset', 'ultrafast', '-pix_fmt', 'yuv420p', '-g', '50'],
            ...['-f', 'hls', '-hls_time', '2', '-hls_list_size', '0', "$folder/live.m3u8"],
        ]))->mustRun();
        // It goes on for the tests behind this one: the Elevation shows what the café shows.
        $server = PageServer::start($folder);
        register_shutdown_function($server->stop(...));
        $page = $this->begun('Streams', 'live picture');
        $page->choose('Comes from', 'a stream')->typeIn('Address of the stream', "$server->origin/live.m3u8");
        $page->typeIn('Divide into', '2', '')->press('into columns', '.divide');
        $page->until('2 panes', fn () => count($page->all('.pane')) === 2);
        $page->all('.pane-face')[1]->click();
        $page->press('live picture', '.empty-help')->choose('Comes from', 'a capture device');
        $page->typeIn('Name of the device', 'fake_device_0');
        $page->until('noted', fn () => str_starts_with($page->find('.save-word')->getText(), 'saved'));
        $this->release($page, 'Streams');
        $this->handOff($page, 'cafe', 'Streams');
        $window = $this->page(960, 540)->open('/play/cafe-1');
        $this->pair($page, $window, 'cafe-1');
        $playing = static fn (): array => (array) $window->script(
            'return [...document.querySelectorAll(".pane-live video")].map((one) => '.
                '[one.style.visibility, one.videoWidth, !one.paused && one.currentTime > 0.2])',
        );
        $window->until('both play', static fn () => array_column($playing(), 2) === [true, true], 60);
        self::assertSame(['', ''], array_column($playing(), 0), 'both are seen');
        self::assertContains(320, array_column($playing(), 1));
    }

    private function begun(string $name, string $kind): Page
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="cafe"]')->typeIn('Name of the new design', $name, Keys::ENTER);
        $page->see($name, '.title-block');

        return $page->press($kind, '.empty-help');
    }
}
