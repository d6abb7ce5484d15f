<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use UpperPane\Tests\Support\Page;

/** One player window per output shows exactly its raster: its panel's part of the canvas, turned as the panel is mounted. */
final class OutputWindowTest extends BrowserCase
{
    public function testEachWindowShowsItsPanel(): void
    {
        $page = $this->page();
        $page->signIn()->open('/bench/0b0c1d00-0000-4000-8000-000000000004')->see('Welcome to the lake', '.bench-bar h1');
        $this->release($page, 'For six windows');
        $this->handOff($page, 'hall-1', 'Welcome to the lake');
        $window = $this->page(1920, 1080);
        // Panel F, right below: the words stand in it, whole; panel C above it has none of them, panel A neither.
        $window->open('/play/hall-1?output=6')->until('the words are there', fn () => $window->all('.pane-text') !== [], 30);
        [$left, $top, $right, $bottom] = $this->words($window);
        self::assertTrue($left >= 0 && $top >= 0 && $right <= 1920 && $bottom <= 1080, "$left, $top to $right, $bottom");
        foreach ([3 => 'below it', 1 => 'far to the right'] as $output => $where) {
            $window->open("/play/hall-1?output=$output")->until('it plays', fn () => $window->script('return document.querySelectorAll(".pane-zone").length') === 3, 30);
            [$left, $top] = $this->words($window);
            self::assertTrue($output === 3 ? $top >= 1080 : $left >= 1920, "the words lie $where");
        }
        $window->open('/play/hall-1?output=9')->see('knows no output 9 of hall-1');
    }

    /** The totem's panel is mounted turned by 90°: its signal is landscape, and what is up on the wall points left in it. */
    public function testATurnedPanelsSignalIsTurnedBack(): void
    {
        $page = $this->page();
        $page->signIn()->open('/bench/0b0c1d00-0000-4000-8000-000000000003')->see('Gate 2', '.bench-bar h1');
        $this->release($page, 'Turned');
        $this->handOff($page, 'gate-2', 'Gate 2');
        $window = $this->page(1920, 1080);
        $window->open('/play/gate-2?output=1')->until('it plays', fn () => $window->all('.pane-text') !== [], 30);
        /** @var list<list<float>> $zones left, top, width, height of the zones as they lie in the window, from the wall's top down */
        $zones = $window->script('return [...document.querySelectorAll(".pane-zone")].map((e) => { const b = e.getBoundingClientRect(); return [b.left, b.top, b.width, b.height].map(Math.round) })');

        self::assertSame([[0, 0, 320, 1080], [320, 0, 960, 1080], [1280, 0, 440, 1080], [1720, 0, 200, 1080]], $zones);
    }

    /** @return array{float, float, float, float} left, top, right and bottom of all lines of text together */
    private function words(Page $window): array
    {
        /** @var array{float, float, float, float} */
        return $window->script('const b = [...document.querySelectorAll(".pane-text > div")].map((e) => e.getBoundingClientRect()); return [Math.min(...b.map((r) => r.left)), Math.min(...b.map((r) => r.top)), Math.max(...b.map((r) => r.right)), Math.max(...b.map((r) => r.bottom))]');
    }
}
