<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** The time rail: what shows when, how fast it plays, and what a scene's end cuts. */
final class RailTest extends BrowserCase
{
    /** Three of 6 s: 16 times as fast, from change to change, and a scene of 15 s that ends within the third. */
    public function testGoesFromChangeToChangeAndSaysWhatIsCut(): void
    {
        $page = $this->page()->signIn()->open('/harrowmere/bench/0b0c1d00-0000-4000-8000-000000000007');
        $page->see('2 13:10 Aldermoor, gate 2', '.lane');
        $time = static fn (): string => (string) $page->find('.time-field')->getAttribute('value');

        $page->find('.lanes')->click();
        $page->keys(Keys::HOME, Keys::ALT.Keys::ARROW_RIGHT.Keys::NULL);
        $page->until('the second entry', static fn () => $time() === '6.0 s');
        // Where it begins it has not faded in yet.
        $page->keys(Keys::ARROW_RIGHT)->see('13:10 Aldermoor', '.bench-stage');
        $page->keys(Keys::ARROW_LEFT);
        $page->keys(Keys::ALT.Keys::ARROW_RIGHT.Keys::ARROW_RIGHT.Keys::ARROW_LEFT.Keys::NULL);
        $page->until('on and back', static fn () => $time() === '12.0 s');
        $page->press('To the change before', '.time-rail');
        $page->until('back', static fn () => $time() === '6.0 s');
        $page->press('16×', '.time-rail')->press('Play', '.time-rail');
        $page->until('it runs', static fn () => (float) $time() > 30);
        $page->press('Pause', '.time-rail')->press('1×', '.time-rail');

        // Ten of 6 s in the minute that is drawn: at random none follows itself, and each pass has all three.
        $page->click('.pane-face')->choose('Order', 'at random, nothing twice in a row');
        $page->until('another order', static function () use ($page): bool {
            $plays = array_map(
                static fn ($piece) => (int) $piece->getText(),
                $page->all('.rail-lanes .lane:first-of-type .piece'),
            );
            $again = array_filter(array_keys($plays), static fn (int $at) => $plays[$at] === ($plays[$at - 1] ?? 0));

            return array_slice($plays, 0, 9) !== [1, 2, 3, 1, 2, 3, 1, 2, 3] && count($plays) >= 9 && $again === []
                && array_sum(array_slice($plays, 0, 3)) === 6 && array_sum(array_slice($plays, 3, 3)) === 6;
        });
        $page->choose('Order', 'as listed');
        $page->press('Scene …')->choose('Lasts', 'a time')->typeIn('Time', '0:15', Keys::ENTER);
        $page->see('The scene’s end cuts entry 3 of A 3.0 s before its own.', '.time-rail');
        $this->assertAccessible($page);
    }
}
