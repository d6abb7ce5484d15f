<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use UpperPane\Tests\Support\Page;

/** On a screen of 390 px: nothing scrolls sideways, the places fold into a menu, the column is drawn up from below. */
final class NarrowTest extends BrowserCase
{
    public function testTheDemosPeopleSignInByOneClickAndWorkOnANarrowScreen(): void
    {
        $page = $this->page(390, 800);
        $page->open('/sign-in')->see('In this demo, go on as', 'h2');
        $this->assertAccessible($page);
        $page->press('Theo Marchetti')->see('Elevation', 'h1');
        $this->assertFits($page);
        $page->click('[data-surface="kiosk"]')->see('1280 × 800 px', 'aside .particulars');
        $this->assertAccessible($page);
        $page->click('.column-handle')->gone('aside .particulars');

        $page->press('Places')->press('Hand-off', '.places')->see('Hand-off', 'h1');
        $this->assertFits($page);
        $page->open('/bench/0b0c1d00-0000-4000-8000-000000000001')->find('.pane');
        $this->assertFits($page);
        $page->press('Particulars', 'aside')->see('1320 × 880 px', 'aside');
        $this->assertAccessible($page);
    }

    private function assertFits(Page $page): void
    {
        self::assertSame(390, $page->script('return document.documentElement.scrollWidth'), 'nothing scrolls sideways');
    }
}
