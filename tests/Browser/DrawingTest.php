<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/** How the drawing is looked at: zoom and hand, guides, millimetres, the night sheet, the design alone; its letters. */
final class DrawingTest extends BrowserCase
{
    public function testZoomHandAndTheDesignAlone(): void
    {
        $page = $this->page();
        $page->signIn()->open('/bench/0b0c1d00-0000-4000-8000-000000000005')->find('.pane');
        $width = fn (): float => (float) $page->script('return document.querySelector(".canvas-sheet").getBoundingClientRect().width');
        $fitted = $width();
        $page->click('.pane-face')->keys('1')->until('true pixels', fn () => $width() === 3840.0);
        $scroll = fn (): array => (array) $page->script('const room = document.querySelector(".canvas-room"); return [room.scrollLeft, room.scrollTop]');
        $page->key('keyDown', ' ');
        $hand = (new WebDriverActions($page->browser))->moveToElement($page->find('.canvas-room'));
        $hand->clickAndHold()->moveByOffset(-120, -60)->release()->perform();
        $page->key('keyUp', ' ');
        $page->until('moved by hand', fn () => $scroll() === [120, 60]);
        self::assertSame('Play', $page->find('.rail-head button')->getText(), 'and it does not play');
        $page->click('.pane.chosen .pane-face, .pane-face')->keys('2');
        $page->until('one pane fills the room', fn () => $page->script(
            'const pane = document.querySelector(".pane.chosen").getBoundingClientRect(), room = document.querySelector(".canvas-room").getBoundingClientRect(); return Math.abs(pane.height + 112 - room.height) < 3 || Math.abs(pane.width + 112 - room.width) < 3',
        ));
        $page->click('.pane-face')->keys('0');
        $page->until('fitted again', fn () => abs($width() - $fitted) < 1);

        $page->press('scale', '.title-block')->see('As it is seen', 'aside');
        $page->press('From', 'aside')->until('as it is seen from there', fn () => abs($width() - $fitted) > 5);
        $this->assertAccessible($page);
        $page->press('On the whole screen')->find('.preview-alone .pane-zone');
        $page->keys('1')->until('at true pixels', fn () => $page->script('return document.querySelector(".preview-sheet").style.width') === '3840px');
        $page->keys(Keys::ESCAPE)->gone('.preview-alone');
    }

    public function testGuidesAreDraggedSnappedToAndTakenAwayAlsoByKeys(): void
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="booking"]')->typeIn('Name of the new design', 'Guides', Keys::ENTER);
        $page->see('Guides', '.title-block');
        $sheet = $page->find('.canvas-sheet')->getSize();
        $ruler = $page->find('.ruler.y');
        self::hold($page, $ruler)->moveByOffset(40, 5)->moveByOffset(100, 0)->release()->perform();
        $guide = $page->find('.laid-guide.x .guide-grip');
        $at = (int) $guide->getAttribute('aria-valuenow');
        self::assertGreaterThan(0, $at);
        self::assertLessThan(1920, $at);

        // A float snaps to it, and says so.
        $page->click('.pane-face')->keys('f')->find('.draw-sheet:focus');
        $page->keys(Keys::ENTER)->find('.float-face');
        $scale = $sheet->getWidth() / 1920;
        $by = (int) round(($at - 720) * $scale) + 3;
        self::hold($page, $page->find('.float-face'))->moveByOffset($by - 9, 31)->moveByOffset(9, 0)->perform();
        $page->see("$at px · guide", '.snap-guide.x');
        (new WebDriverActions($page->browser))->release()->perform();
        $page->until('there', fn () => $page->field('Right by')->getAttribute('value') === "{$at}px");

        $page->tabTo("Upright guide at $at px", true)->keys(Keys::SHIFT.Keys::ARROW_RIGHT.Keys::NULL);
        $page->until('10 px on', fn () => (int) $page->find('.guide-grip')->getAttribute('aria-valuenow') === $at + 10);
        $this->assertAccessible($page);
        $page->tabTo('Upright guide')->keys(Keys::DELETE)->gone('.laid-guide');
        $page->keys(Keys::CONTROL.'z'.Keys::NULL)->find('.laid-guide.x');
        $out = (int) round(-$at * $scale) + 60;
        $held = self::hold($page, $page->find('.guide-grip'));
        $held->moveByOffset(-120, 0)->moveByOffset($out, 0)->release()->perform();
        $page->gone('.laid-guide');
    }

    public function testMillimetresTheNightSheetAndLettersAgainByKeyboard(): void
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="booking"]')->typeIn('Name of the new design', 'By night', Keys::ENTER);
        $page->see('By night', '.title-block');
        $page->click('.pane-face')->keys('C');
        $page->until('two panes', fn () => count($page->all('.pane')) === 2);
        $page->click('.pane-face')->keys('C');
        $page->until('A, C, B', fn () => self::letters($page) === ['A', 'C', 'B']);
        $page->tabTo('scale', true)->keys(Keys::ENTER)->see('Letters', 'aside');
        $page->tabTo('Give letters anew')->keys(Keys::ENTER)->see('Brief sheets that were sent out', 'aside');
        $page->tabTo('Give letters anew')->keys(Keys::ENTER);
        $page->until('A, B, C', fn () => self::letters($page) === ['A', 'B', 'C']);
        $page->tabTo('Millimetres along', true)->keys(Keys::SPACE)->see('mm', '.dimensions');
        $page->tabTo('Night sheet')->keys(Keys::SPACE)->find('[data-sheet="night"] body');
        $this->assertAccessible($page);
        foreach (['elevation/hall', 'designs', 'stock', 'hand-off', 'elevation/new'] as $place) {
            $page->open("/harrowmere/$place")->find('h1');
            $page->until('there', fn () => $page->all('.empty-place[role=status]') === []);
            $this->assertAccessible($page);
        }
    }

    /** What is sent to whoever makes the art, from the title block: each file is there and is what it says. */
    public function testBriefSheetsAreFetchedByMouseAndByKeyboard(): void
    {
        $page = $this->page();
        $page->signIn()->open('/bench/0b0c1d00-0000-4000-8000-000000000008')->find('.pane');
        $page->press('Brief sheet …', '.title-block')->find('.sheet-links a');
        $this->assertAccessible($page);
        $files = $page->browser->executeAsyncScript(
            'const done = arguments[0]; Promise.all([...document.querySelectorAll(".sheet-links a")].map(async (link) => { const answer = await fetch(link.href); const begin = new TextDecoder().decode((await answer.arrayBuffer()).slice(0, 8)).slice(0, 5); return [answer.headers.get("content-type").split(";")[0], begin.trim(), /filename="what-you-see-from-here-r\\d+\\./.test(answer.headers.get("content-disposition"))] })).then(done)',
        );
        self::assertSame(
            [
                ['application/pdf', '%PDF-', true],
                ['text/csv', 'Scene', true],
                ['image/svg+xml', '<svg', true],
                ['application/smil+xml', '<?xml', true],
            ],
            $files,
        );
        $page->tabTo('Back', true)->keys(Keys::ENTER)->gone('.sheet-links');
        $page->tabTo('Brief sheet', true)->keys(Keys::ENTER)->find('.sheet-links a');
    }

    private static function hold(Page $page, RemoteWebElement $what): WebDriverActions
    {
        return (new WebDriverActions($page->browser))->moveToElement($what)->clickAndHold();
    }

    /** @return list<string> from left to right */
    private static function letters(Page $page): array
    {
        return $page->script(
            'return [...document.querySelectorAll(".pane .edge-letter b, .pane .pane-label b")].map((one) => one.textContent.trim())',
        );
    }
}
