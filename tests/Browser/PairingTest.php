<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

final class PairingTest extends BrowserCase
{
    private const CARD = '[data-player="kiosk-1"]';

    /** One click opens a window that is the player at once; a screen whose code is typed then takes over from it. */
    public function testAStandInByOneClickAndAScreenByItsCode(): void
    {
        $this->expectRefusals('status of 422', 'status of 404', 'status of 401');
        $page = $this->page()->signIn('theo')->open('/hand-off');
        $page->press('Open a stand-in', self::CARD)->see('· paired', self::CARD);
        $windows = $page->browser->getWindowHandles();
        $page->browser->switchTo()->window($windows[1]);
        $page->until('it plays', fn () => $page->all('.pane-zone') !== [], 30);
        self::assertStringEndsWith('/play/kiosk-1', $page->browser->getCurrentURL(), 'its token is out of sight');

        $screen = $this->page(1080, 1920)->open('/play/kiosk-1');
        $screen->see('To make this screen Ticket kiosk, type', '#word');
        $page->browser->switchTo()->window($windows[0]);
        $page->press('Pair another screen', self::CARD)->type('#code-kiosk-1', 'ABC DEF', WebDriverKeys::ENTER);
        $page->see('No screen that asks to be kiosk-1 shows ABCDEF.', self::CARD);
        $this->assertAccessible($page);
        $this->pair($page, $screen, 'kiosk-1');
        $screen->until('it plays', fn () => $screen->all('.pane-zone') !== [], 30);

        $page->browser->switchTo()->window($windows[1]);
        $page->see('To make this screen Ticket kiosk, type', '#word');
        self::assertNotSame([], $page->all('.pane-zone'), 'it goes on with what it has, and says so');
        $page->browser->close();
        $page->browser->switchTo()->window($windows[0]);
    }
}
