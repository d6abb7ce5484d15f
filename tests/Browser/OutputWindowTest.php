<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/**
 * One player window per output shows exactly its raster: its panel's part of the canvas, turned as the panel is
 * mounted.
 */
final class OutputWindowTest extends BrowserCase
{
    /**
     * Two panels of 3840 × 2160 px, the second at canvas px 3891 (1225.6 mm ÷ 0.315 mm): one line of words goes on from
     * the first window to the second, what lies behind the seam left out. The windows are half as large as the signals.
     */
    public function testALineGoesOnFromPanelToPanel(): void
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="lookout"]')->see('Lookout pair', 'aside h2');
        $page->typeIn('Name of the new design', 'One line', Keys::ENTER)->see('One line', '.title-block');
        $words = 'Ness lies to the left, Aldermoor straight ahead, and on clear days Tarn Holm far behind it. ';
        $page->press('text', '.empty-help')->type('#bench-panel textarea', $words.$words, Keys::TAB);
        $page->see('Ness', '.bench-stage');
        $this->release($page, 'For two windows');
        $this->handOff($page, 'lookout', 'One line');
        $window = $this->page(1920, 1080)->open('/play/lookout-1?output=1');
        $this->pair($page, $window, 'lookout-1');
        $words = [];
        foreach ([1, 2] as $output) {
            $window
                ->open("/play/lookout-1?output=$output")
                ->until('the words are there', fn () => $window->all('.pane-text') !== [], 30);
            $words[$output] = $this->words($window);
        }
        self::assertEqualsWithDelta(
            array_map(static fn (float $side) => $side - 3891 / 2, [$words[1][0], $words[1][2]]),
            [$words[2][0], $words[2][2]],
            0.6,
        );
        self::assertSame([$words[1][1], $words[1][3]], [$words[2][1], $words[2][3]]);
        self::assertTrue(
            $words[1][0] > 0 && $words[1][2] > 1920 && $words[2][0] < 0 && $words[2][2] < 1920,
            'the line begins in the first and ends in the second',
        );
        $window->open('/play/lookout-1?output=9')->see('knows no output 9 of lookout-1');
        $window->open('/play/lookout-1?output=1');
        $window->browser->switchTo()->newWindow('window');
        $window->open('/play/lookout-1?output=2');
        $page->open('/hand-off')->see('Its outputs 1, 2 show the same, by one clock.', '[data-player="lookout-1"]');
    }

    /**
     * The totem's panel is mounted turned by 90°: its signal is landscape, and what is up on the wall points left in
     * it.
     */
    public function testATurnedPanelsSignalIsTurnedBack(): void
    {
        $page = $this->page();
        $page->signIn()->open('/bench/0b0c1d00-0000-4000-8000-000000000003')->see('Gate 2', '.bench-bar h1');
        $this->release($page, 'Turned');
        $this->handOff($page, 'gate-2', 'Gate 2');
        $window = $this->page(1920, 1080);
        $window->open('/play/gate-2?output=1');
        $this->pair($page, $window, 'gate-2');
        $window->until('it plays', fn () => $window->all('.pane-text') !== [], 30);
        /**
         * @var list<list<float>> $zones left, top, width, height of the zones as they lie in the window, from the
         *     wall's top down
         */
        $zones = $window->script(
            'return [...document.querySelectorAll(".pane-zone")].map((e) => { const b = e.getBoundingClientRect(); return [b.left, b.top, b.width, b.height].map(Math.round) })',
        );

        self::assertSame([[0, 0, 320, 1080], [320, 0, 960, 1080], [1280, 0, 440, 1080], [1720, 0, 200, 1080]], $zones);
    }

    /** @return array{float, float, float, float} left, top, right and bottom of all lines of text together */
    private function words(Page $window): array
    {
        /** @var array{float, float, float, float} */
        return $window->script(
            'const b = [...document.querySelectorAll(".pane-text > div")].map((e) => e.getBoundingClientRect()); return [Math.min(...b.map((r) => r.left)), Math.min(...b.map((r) => r.top)), Math.max(...b.map((r) => r.right)), Math.max(...b.map((r) => r.bottom))]',
        );
    }
}
