<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Demo\TodayAtTheCafe;

/** The time rail: what shows when, how fast it plays, and what a scene's end cuts. */
final class RailTest extends BrowserCase
{
    /** Three of 6 s: 16 times as fast, from change to change, and a scene of 15 s that ends within the third. */
    public function testGoesFromChangeToChangeAndSaysWhatIsCut(): void
    {
        $page = $this->page()->signIn();
        $page->open($this->copied($page, '0b0c1d00-0000-4000-8000-000000000007'));
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

    /** An entry's end is dragged: to whole seconds, to another lane's change where that is near; time is enlarged. */
    public function testEndsAreDraggedAndTimeIsEnlarged(): void
    {
        $page = $this->page()->signIn();
        $page->open($this->copied($page, TodayAtTheCafe::ID).'?zone=z-poster');
        $page->see('1 Lantern evening poster.png', '.lane');
        $width = static fn (): float => (float) $page->script(
            'return document.querySelector(".lanes").getBoundingClientRect().width',
        );
        $lasts = static fn (int $entry): string => trim(explode("\n", $page->all('.entry-face')[$entry]->getText())[2]);
        // 21 s over the rail: the first poster, of 3.5 s, to about 6 s.
        $page->drag('.lane:nth-of-type(3) .piece:nth-of-type(1) .edge', (int) ($width() * 2.6 / 21), 0);
        $page->until('6 s', static fn () => $lasts(0) === '6.0 s');
        // Near the 8 s at which the pictures change it lies there.
        $page->drag('.lane:nth-of-type(3) .piece:nth-of-type(1) .edge', (int) ($width() * 2 / 21) + 4, 0);
        $page->until('8 s', static fn () => $lasts(0) === '8.0 s');
        $page->press('Undo')->press('Undo')->until('as it was', static fn () => $lasts(0) === '3.5 s');

        $whole = $width();
        $page->find('.lanes')->click();
        $page->keys('+', '+')->until('larger', static fn () => $width() > 2 * $whole);
        $page->keys(Keys::END)->until('in view', static fn () => $page->script(
            'const [room, head] = [".rail-room", ".playhead"].map((css) => document.querySelector(css).getBoundingClientRect()); return head.left >= room.left && head.left <= room.right',
        ));
        $this->assertAccessible($page);
        $page->keys('0')->until('whole', static fn () => $width() === $whole);
        $page->press('Larger', '.rail-zoom')->until('by a button', static fn () => $width() > $whole);
    }

    /** Three of five entries are chosen and changed at once, as one step. */
    public function testSeveralEntriesAreChangedAtOnce(): void
    {
        $page = $this->page()->signIn();
        $page->open($this->copied($page, TodayAtTheCafe::ID).'?zone=z-poster');
        $page->see('Lake swim', '.entry');
        $page->click('[aria-label="Choose entry 2"]');
        (new WebDriverActions($page->browser))
            ->keyDown(null, Keys::SHIFT)
            ->click($page->all('.entry-face')[3])
            ->keyUp(null, Keys::SHIFT)
            ->perform();
        $page->see('3 entries together', '.several-entries');
        $said = static fn (): array => array_map(
            static fn ($face) => trim(explode("\n", $face->getText())[\count(explode("\n", $face->getText())) - 1]),
            $page->all('.entry-face'),
        );
        $page->typeIn('Seconds each', '0:05');
        $page->until('5 s each', static fn () => $said() === ['3.5 s', '5.0 s', '5.0 s', '5.0 s', '3.5 s']);
        $page->typeIn('Days and hours', 'mon-fri 6-9', Keys::ENTER);
        $page->until('all three', static fn () => count($page->all('.entry .entry-when')) >= 3);
        $this->assertAccessible($page);
        $off = static fn (int $many) => fn () => count($page->all('.entry.off')) === $many;
        $page->press('Switch off', '.several-entries')->until('off', $off(3));
        $page->press('Undo')->until('on', $off(0));
        $page->press('Undo')->until('always', static fn () => count($page->all('.entry .entry-when')) < 3);
        $page->press('Undo')->until('as it was', static fn () => array_unique($said()) === ['3.5 s']);
        $page->press('Done', '.several-entries')->gone('.several-entries');
    }
}
