<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

/** Where one is signed in, and ending it from elsewhere. */
final class SessionTest extends BrowserCase
{
    public function testASessionIsEndedFromAnotherBrowser(): void
    {
        $this->expectRefusals('status of 401');
        $left = $this->page();
        $left->signIn('emil')->see('Emil', '.lintel');
        $here = $this->page();
        $here->signIn('emil')->open('/harrowmere/stock')->find('.media-card');
        $here->press('Emil Sørensen', '.lintel')->press('Where you are signed in', '.lintel');
        $here->see('this one', '.modal');
        $this->assertAccessible($here);
        $lines = count($here->all('.sessions .line'));
        self::assertGreaterThan(1, $lines);
        $here->press('End it', '.modal');
        $here->until('one less', fn () => count($here->all('.sessions .line')) === $lines - 1);
        $here->press('Close', '.modal-footer')->gone('.modal');
        $here->open('/harrowmere/stock')->find('.media-card');

        $left->open('/harrowmere/stock')->see('Upper Pane', 'form.sign-in');
    }
}
