<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Symfony\Component\Process\Process;
use UpperPane\Tests\Support\Page;

/** What goes to players at once: which screen is which, standby, and back; before a screen, with a phone. */
final class ActTest extends BrowserCase
{
    public function testAScreenSaysWhichItIsGoesToStandbyAndComesBack(): void
    {
        $page = $this->page();
        $page->signIn()->open('/hand-off')->see('Hand-off', 'h1');
        $this->handOff($page, 'gate-1', 'Gate 1');
        $window = $this->page(540, 960)->open('/play/gate-1');
        $window->until('its code is there', fn () => $window->script('return document.querySelector("#card img").complete'));
        self::assertSame($this->address().'/harrowmere/hand-off/gate-1', $this->read($window));
        $this->pair($page, $window, 'gate-1');
        $window->until('it plays', fn () => $window->all('.pane-text') !== [], 30);
        self::assertSame([], array_filter($window->all('#card'), static fn ($card) => $card->isDisplayed()));
        $card = '[data-handed="gate-1"]';
        $page->until('proven', fn () => str_contains($page->find("$card .state")->getText(), 'proven'), 30);

        $page->press('Identify', $card)->see('Its screens say which they are', $card);
        $window->see('gate-1', '#card');
        $page->press('Standby now', $card)->see('until it is cleared, Dina Okafor', $card);
        $window->until('standby', fn () => $window->find('#stage')->getText() === 'Gate 1 totem');
        $page->see('2 acts', '.lintel');
        $page->until('it told so', fn () => str_contains($page->find("$card [data-player]")->getText(), 'standby'), 20);
        self::assertStringContainsString('proven', $page->find("$card .state")->getText());
        $this->assertAccessible($page);

        // Before the screen, with a phone, where the code on it leads.
        $phone = $this->page(390, 800);
        $phone->signIn('olga')->open('/harrowmere/hand-off/gate-1')->see('standby', '.on-air');
        $this->assertAccessible($phone);
        self::assertSame(0, $phone->script('return document.documentElement.scrollWidth - innerWidth'));
        $phone->press('Clear', '.player-place');
        $window->until('the menu again', fn () => $window->find('#stage')->getText() !== 'Gate 1 totem');
        $phone->until('told', fn () => count($phone->all('.on-air tbody tr')) >= 3, 20);
        $page->gone("$card .act-line");
    }

    /**
     * A design handed off anew without a change restarts nothing (model §6): in two windows its line of words is where
     * it was, further by what has passed, within three frames.
     */
    public function testAHandOffOfTheSameRestartsNothing(): void
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="ribbon"]')->see('Quay ribbon', 'aside h2');
        $page->typeIn('Name of the new design', 'Running', Keys::ENTER)->see('Running', '.title-block');
        $page->press('text', '.empty-help')->type('#bench-panel textarea', 'Ness 12:45, Aldermoor 13:10', Keys::TAB);
        $page->see('Ness', '.bench-stage');
        $page->tick('Runs through the zone')->see('Once through in', 'aside');
        $this->release($page, 'Runs');
        $this->handOff($page, 'ribbon', 'Running');
        $window = $this->page(960, 96)->open('/play/ribbon-1');
        $this->pair($page, $window, 'ribbon-1');
        $window->browser->switchTo()->newWindow('window');
        $window->open('/play/ribbon-1');
        $handles = $window->browser->getWindowHandles();
        /** @var array{from_mpx: array{int}, to_mpx: array{int}, ms: int} $way */
        $way = $page->browser->executeAsyncScript(<<<'JS'
            const done = arguments[0]
            ;(async () => {
            const read = (path) => fetch(path).then((one) => one.json())
            const { ordered } = await read('/api/players/ribbon-1')
            const { plan } = await read(`/api/releases/${ordered.release}/plan?surface=ribbon`)
            done(Object.values(plan.scenes).flatMap((one) => one.zones).flatMap((one) => one.items)
              .find((one) => one.ticker).ticker)
            })()
            JS);
        [$from, $length] = [$way['from_mpx'][0] / 1000, ($way['to_mpx'][0] - $way['from_mpx'][0]) / 1000];
        /** @return list<array{float, float, float}> ms, how far its line has run of once through */
        $all = fn (): array => array_map(function (string $handle) use ($window, $from, $length): array {
            $window->browser->switchTo()->window($handle);
            [$ms, $x, $late] = $this->line($window);

            return [$ms, ($x - $from) / $length, $late];
        }, $handles);
        $before = $all();
        $handed = fn (): int => (int) $page->script(
            'return fetch("/api/players/ribbon-1").then((one) => one.json()).then((one) => one.after)',
        );
        $after = $handed();
        $this->handOff($page, 'ribbon', 'Running');
        $page->until('handed off anew', fn () => $handed() === $after + 1);
        $card = '[data-handed="ribbon"] .state';
        $page->until('proven anew', fn () => str_contains($page->find($card)->getText(), 'proven'), 30);

        foreach ([...$before, ...$all()] as [$ms, $share, $late]) {
            $apart = $share - $before[0][1] - ($ms - $before[0][0]) / $way['ms'];
            $most = 50.0 + $late + $before[0][2];
            self::assertEqualsWithDelta(0.0, ($apart - round($apart)) * $way['ms'], $most, 'ms from where it would be');
        }
    }

    /** What a QR code on a screen says, as an independent decoder reads it: zbarimg (Debian zbar-tools). */
    private function read(Page $window): string
    {
        $file = sys_get_temp_dir().'/upper-pane-card-'.getmypid().'.png';
        $window->shot($file);
        $decoder = new Process(['zbarimg', '-q', '--raw', '-Sbinary', $file]);
        $decoder->run();
        unlink($file);

        return $decoder->getOutput();
    }

    /** @return array{float, float, float} ms, where its line is, px, and at most so many ms before */
    private function line(Page $window): array
    {
        $window->until('it moves', fn () => $window->all('.pane-moving') !== [], 30);

        $tools = new ChromeDevToolsDriver($window->browser);

        /** @var array{float, float, float} */
        return $window->until('frames are drawn', static function () use ($window, $tools): mixed {
            // A window behind another one may draw nothing.
            $tools->execute('Page.bringToFront');

            return $window->browser->executeAsyncScript(<<<'JS'
                const done = arguments[0]
                // The player drew in this frame before: of six frames the one in which the least time passed since.
                let [best, left] = [null, 6]
                const look = (began) => {
                  const late = performance.now() - began
                  const moving = document.querySelector('.pane-moving')
                  if (!moving) return requestAnimationFrame(look)
                  const x = Number(/\(([-\d.]+)px/.exec(moving.style.transform)[1])
                  if (!best || late < best.late) best = { late, at: Date.now(), x }
                  if (--left) requestAnimationFrame(look)
                  else done([best.at, best.x, best.late])
                }
                requestAnimationFrame(look)
                setTimeout(() => done(null), 8000)
                JS);
        }, 60);
    }
}
