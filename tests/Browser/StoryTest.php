<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use UpperPane\Tests\Support\Files;
use UpperPane\Tests\Support\Page;

/** One way through the whole product, as a designer goes it: from a surface to a picture on a player, and back. */
final class StoryTest extends BrowserCase
{
    public function testFromASurfaceToAPictureOnAPlayer(): void
    {
        $page = $this->page();

        // 1, 2: the app is there; a wrong password is refused, the right one lets in.
        $this->expectRefusals('status of 401', 'status of 409');
        $page
            ->open('/sign-in')
            ->type('#email', 'dina@harrowmere.example')
            ->type('#password', 'wrong')
            ->press('Sign in');
        $page->see('The address or the password is wrong.', '[role=alert]');
        $this->assertAccessible($page);
        $page->signIn();

        // 3: the Elevation shows the surfaces to scale; the kiosk gets a new design.
        $page->click('[data-surface="kiosk"]')->see('1280 × 800 px', 'aside');
        $drawn = $page->script(
            'const box = document.querySelector("[data-surface=booking]").getBoundingClientRect();'.
                'return box.width / box.height',
        );
        self::assertEqualsWithDelta(1209.6 / 680.4, $drawn, 0.03, 'drawn in true ratio');
        $this->assertAccessible($page);
        $page->click('[data-surface="booking"]')->see('Booking office', 'aside h2');
        $page->typeIn('Name of the new design', 'Summer board', '')->press('Make design');

        // 4: 1320 and 600 over a strip of 200, in at most eight actions.
        $page->see('Summer board', '.bench-bar h1');
        $actions = 0;
        ++$actions;
        $page->click('.pane-face');
        ++$actions;
        $page->keys('-');
        $page->until('two panes', fn () => count($page->all('.pane')) === 2);
        ++$actions;
        $page->click('.pane:nth-child(2) .pane-face');
        ++$actions;
        $page->typeIn('Height', '200', WebDriverKeys::ENTER);
        $page->see('1920 × 200 px', 'aside');
        ++$actions;
        $page->click('.pane:nth-child(1) .pane-face');
        ++$actions;
        $page->keys('|');
        $page->until('three panes', fn () => count($page->all('.pane')) === 3);
        ++$actions;
        $page->typeIn('Width', '1320', WebDriverKeys::ENTER);
        $page->see('1320 × 880 px · 3:2', 'aside');
        self::assertLessThanOrEqual(8, $actions);
        self::assertSame(['1320 × 880', '600 × 880', '1920 × 200'], $this->sizes($page));

        // Dragging a mullion shows both neighbours' numbers and changes only them; undo and redo.
        $this->dragMullion($page, 60);
        $page->until('A is wider', fn () => $this->sizes($page)[0] !== '1320 × 880');
        $page->press('Undo')->see('1320 × 880 px', 'aside');
        $page->press('Redo')->until('A is wider again', fn () => $this->sizes($page)[0] !== '1320 × 880');
        $page->press('Undo')->see('1320 × 880 px', 'aside');

        // Split with a click on an edge handle, then merge again.
        $page->click('.pane:nth-child(2) .pane-face');
        (new WebDriverActions($page->browser))
            ->moveToElement($page->find('.along-left'), 0, 20)
            ->moveByOffset(1, 1)
            ->click()
            ->perform();
        $page->until('four panes', fn () => count($page->all('.pane')) === 4);
        $page->press('below', 'aside')->until('three panes', fn () => count($page->all('.pane')) === 3);

        // 5: a picture comes into the Stock, is looked at by the worker, and is dragged onto A.
        $page->click('a[href$="/stock"]')->see('Lake at dawn.jpg');
        $this->assertAccessible($page);
        $page->browser
            ->findElement(WebDriverBy::cssSelector('.stock input[type=file]'))
            ->sendKeys(Files::picture('Pier at noon 北京.jpg', 2000, 1500));
        $page->until(
            'the picture has its size',
            fn () => $this->card($page, 'Pier at noon 北京.jpg', '2000 × 1500 px · 4:3'),
        );
        $page->browser
            ->findElement(WebDriverBy::cssSelector('.stock input[type=file]'))
            ->sendKeys(Files::video('Gulls.mp4'));
        $page->until('the video has its duration', fn () => $this->card($page, 'Gulls.mp4', '6.0 s'));
        $page->press('Bench')->find('.pane');
        $page->press('Stock', '.tabs');
        $page->dragTo($this->shelf($page, 'Pier at noon 北京.jpg'), $page->all('.pane')[0]);
        $page->see('Pier at noon 北京.jpg', '.media-facts');
        $page->find('input[value="cover"]')->click();
        $page->see('11.1 % cut away', 'aside');
        $page->typeIn('Focus down %', '20')->see('11.1 % cut away', 'aside');
        $this->assertAccessible($page);

        // 6: text that wraps and shrinks, a clock, a playlist with a video, a text and a changed order.
        $page->click('.pane:nth-child(3) .pane-face')->choose('Fill', 'clock')->see('Pattern', 'aside');
        $page->typeIn('Pattern', 'EEEE HH:mm')->typeIn('Size', '90');
        $page->click('.pane:nth-child(2) .pane-face')->choose('Fill', 'text');
        $page->typeIn('Text', 'Boats leave from the outer pontoon today', '');
        $page->until(
            'the text is drawn',
            fn () => $page->script(
                'return [...document.querySelectorAll(".bench-stage .pane-text")].some((e) => e.innerText.includes("pontoon"))',
            ),
        );
        $page->click('.pane:nth-child(1) .pane-face')->choose('Fill', 'playlist')->see('One pass 10.0 s');
        $page->press('Stock', '.tabs');
        $page->dragTo($this->shelf($page, 'Gulls.mp4'), $page->all('.pane')[0]);
        // The Stock stays open, since more may follow.
        $page->press('Particulars', '.tabs')->see('One pass 16.0 s', 'aside');
        $page->press('Add text', 'aside')->see('One pass 26.0 s', 'aside');
        $page->click('.entry:nth-child(3) .entry-face');
        $page->keys(WebDriverKeys::ALT.WebDriverKeys::ARROW_UP);
        $page->until('the text moved up', fn () => str_contains($page->find('.entry:nth-child(2)')->getText(), 'Text'));
        $page->drag('.entry:nth-child(2) .entry-face', 0, 45);
        $page->until(
            'the text moved down',
            fn () => str_contains($page->find('.entry:nth-child(3)')->getText(), 'Text'),
        );

        // 7: what the core says at an instant is what is drawn.
        $this->assertDrawnAsTheCoreSays($page, [0, 9999, 10_000, 15_000, 16_500, 26_000]);
        $page
            ->press('Play', '.time-rail')
            ->until('time runs', fn () => (int) $page->find('.lanes')->getAttribute('aria-valuenow') % 26_000 > 300);
        $page->press('Pause', '.time-rail');

        // 8: preflight names zone, cause and mend, and leads there.
        $page->click('.pane:nth-child(3) .pane-face')->choose('Fill', 'nothing yet')->click('.verdict button');
        $page->see('B shows nothing.', '.finding')->click();
        $page->see('B', 'aside h2');
        $page->press('Release …')->press('Release revision', '.modal');
        $page->see('Findings that stop this release: 1.', '.modal .refusal');
        $page->press('Close', '.modal')->gone('.modal');
        $page->press('Undo')->until('the clock is back', fn () => $page->all('.title-block .finding-mark.stop') === []);

        // 9: release, hand off, and a player that proves it.
        $this->release($page, 'Opening day');
        $player = $this->page(1920, 1080);
        $this->handOff($page, 'booking', 'Summer board, release 1');
        $player->open('/play/booking-1');
        $this->pair($page, $player, 'booking-1');
        $player->until(
            'the player shows it',
            fn () => $player->script(
                'return [...document.querySelectorAll(".pane-text")].some((e) => e.innerText.includes("pontoon"))',
            ),
            30,
        );
        $page->until(
            'it is proven',
            fn () => str_contains($page->find('[data-handed="booking"] .state')->getText(), 'proven')
                && !str_contains($page->find('[data-handed="booking"] .state')->getText(), 'not'),
            30,
        );
        $this->assertAccessible($page);
        $page
            ->press('Bench')
            ->click('.pane:nth-child(2) .pane-face')
            ->typeIn('Text', 'Boats leave from the inner pontoon again', '');
        $page->until(
            'it is saved',
            fn () => $page->script(
                'return [...document.querySelectorAll(".bench-stage .pane-text")].some((e) => e.innerText.includes("inner"))',
            ),
        );
        $page->press('Hand-off')->see('Summer board: revision', '[data-handed="booking"]');
        $page->press('Bench')->find('.pane');
        $this->release($page, 'Second thoughts');
        $this->handOff($page, 'booking', 'Summer board, release 2');
        $player->until(
            'the player takes the new release whole',
            fn () => $player->script(
                'return [...document.querySelectorAll(".pane-text")].some((e) => e.innerText.includes("inner"))',
            ),
            30,
        );
        $page->press('Roll back to release 1', '[data-handed="booking"]');
        $player->until(
            'the player is rolled back',
            fn () => $player->script(
                'return [...document.querySelectorAll(".pane-text")].some((e) => e.innerText.includes("outer"))',
            ),
            30,
        );

        // 10: the same design on the portrait totem and on a 3840 × 2160 display.
        $page->press('Bench')->click('.bench-surface')->see('Gate 1 totem', '.beside-choice');
        $page->tick('Gate 1 totem')->see('1080 × 1920 px', '[data-beside="gate-1"]');
        $page
            ->tick('Café menu board')
            ->click('[data-beside="cafe"] summary')
            ->see('2640 × 1760 px', '[data-beside="cafe"] .sizes');
        $page->see('3840 × 400 px', '[data-beside="cafe"] .sizes');
        $this->assertAccessible($page);
    }

    /** @return list<string> the panes' sizes in reading order, as their labels say them */
    private function sizes(Page $page): array
    {
        /** @var list<string> */
        return $page->script(
            'return [...document.querySelectorAll(".pane-face")].map((e) => e.getAttribute("aria-label").match(/(\d+ × \d+)/)[1])',
        );
    }

    private function dragMullion(Page $page, int $byX): void
    {
        (new WebDriverActions($page->browser))
            ->clickAndHold($page->find('.mullion.x'))
            ->moveByOffset($byX, 0)
            ->perform();
        $page->see('px', '.mullion .live');
        (new WebDriverActions($page->browser))->release()->perform();
    }

    private function card(Page $page, string $name, string $fact): bool
    {
        foreach ($page->all('.media-card') as $card) {
            if (str_contains($card->getText(), $name) && str_contains($card->getText(), $fact)) {
                return true;
            }
        }

        return false;
    }

    private function shelf(Page $page, string $name): \Facebook\WebDriver\Remote\RemoteWebElement
    {
        $page->see($name, '.carriable');

        return $page->until($name, function () use ($page, $name) {
            foreach ($page->all('.carriable') as $card) {
                if (str_contains($card->getText(), $name)) {
                    return $card->findElement(WebDriverBy::cssSelector('.frame'));
                }
            }

            return null;
        });
    }

    /** @param list<int> $instants */
    private function assertDrawnAsTheCoreSays(Page $page, array $instants): void
    {
        $design = preg_match('~/bench/([0-9a-f-]+)~', $page->browser->getCurrentURL(), $found) === 1 ? $found[1] : '';
        foreach ($instants as $t) {
            $this->scrubTo($page, $t);
            $at = (int) $page->find('.lanes')->getAttribute('aria-valuenow');
            $core = $page->browser->executeAsyncScript(
                'const done = arguments[2]; fetch(`/api/designs/${arguments[0]}/moment?t_ms=${arguments[1]}`).then((r) => r.json()).then(done)',
                [$design, $at],
            );
            $entries = array_column($core['zones'], 'entry', 'letter');
            $order = $page->script('return [...document.querySelectorAll(".entry")].map((e) => e.dataset.entry)');
            $drawn = $page->script(
                'return [...document.querySelectorAll(".bench-stage .pane-zone")[0].children].findIndex((e) => !e.hidden)',
            );
            $kinds = $page->script(
                'const shown = [...document.querySelectorAll(".bench-stage .pane-zone")[0].children].filter((e) => !e.hidden); return shown.map((e) => e.className)',
            );
            self::assertGreaterThanOrEqual(0, $drawn);
            $expected = ['pane-picture', 'pane-video', 'pane-text'][(int) array_search($entries['A'], $order, true)];
            self::assertStringContainsString($expected, $kinds[0], "at $at ms");
        }
    }

    /** Clicks the time rail where an instant is; the playhead then says which instant that was. */
    private function scrubTo(Page $page, int $tMs): void
    {
        $lanes = $page->find('.lanes');
        $width = $lanes->getSize()->getWidth();
        $x = (int) round(($width * $tMs) / (int) $lanes->getAttribute('aria-valuemax')) - intdiv($width, 2);
        (new WebDriverActions($page->browser))->moveToElement($lanes, $x, 0)->click()->perform();
    }
}
