<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Demo\TodayAtTheCafe;
use UpperPane\Tests\Support\Page;

/** Lists that go in step, entries between the others, and the moment, by mouse and by keyboard. */
final class TimeTest extends BrowserCase
{
    /** The dishes go in step with the pictures; set free by dragging their letter off, and in step again by keys. */
    public function testAListGoesInStepWithAnother(): void
    {
        $page = $this->page()->signIn();
        $page->open($this->copied($page, TodayAtTheCafe::ID));
        $dishes = static fn (string ...$wanted): bool => $wanted === array_map(
            static fn ($piece) => $piece->getText(),
            \array_slice($page->all('.rail-lanes .lane:nth-of-type(2) .piece'), 0, 3),
        );
        $page->see('1 Smoked trout roll', '.lane');
        $letters = static fn (string $wanted): bool => $wanted === implode('', array_map(
            static fn ($letter) => $letter->getText(),
            $page->all('.lane-letters button'),
        ));
        self::assertTrue($letters('ACB'), 'a follower lies right below its leader');

        $free = (new WebDriverActions($page->browser))->clickAndHold($page->all('.lane-letters button')[1]);
        $free->moveByOffset(0, 12)->moveByOffset(300, -160)->release()->perform();
        $page->until('it goes by itself', static fn () => $letters('ABC'));
        $page->dragTo($page->all('.lane-letters button')[2], $page->all('.lane-letters button')[0]);
        $page->until('in step again', static fn () => $letters('ACB'));
        $page->keys(Keys::CONTROL.'z')->until('taken back', static fn () => $letters('ABC'));

        $page->choose('Goes', 'in step with A')->see('3 Soup of the day', '.steps');
        self::assertTrue($dishes('1 Smoked trout roll', '2 Leek pie', '3 Soup of the day'));
        $page->see('with A', '.entry-face');
        // One dish less: it begins anew, stays, or leaves its place empty.
        $page->all('.entry-face')[2]->click();
        $page->press('Remove', '.entry-body');
        $first = ['1 Smoked trout roll', '2 Leek pie', '1 Smoked trout roll'];
        $page->until('the first again', static fn () => $dishes(...$first));
        $page->choose('With more or fewer entries than its leader', 'it stays at its last');
        $page->until('the last stays', static fn () => $dishes('1 Smoked trout roll', '2 Leek pie', '2 Leek pie'));
        $page->choose('With more or fewer entries than its leader', 'it shows nothing')->see('nothing', '.steps');
        $page->until('two pieces', static fn () => count($page->all('.rail-lanes .lane:nth-of-type(2) .piece')) === 2);
        self::assertNull(self::drawn($page, 15_000, 2), 'nothing in the third step');
        self::assertSame('Leek pie', self::drawn($page, 9000, 2));
        $this->assertAccessible($page);
    }

    /** The season pass comes after two others, then after one; how often it is seen is said. */
    public function testOneComesAfterEveryFewOthers(): void
    {
        $page = $this->page()->signIn();
        $page->open($this->copied($page, TodayAtTheCafe::ID).'?zone=z-poster');
        $coming = static fn (string $wanted): bool => $wanted === implode(' ', array_map(
            static fn ($line) => preg_replace('/^\S+\s+(\d+).*$/s', '$1', trim($line->getText())),
            $page->all('.coming li'),
        ));
        $page->see('Season pass', '.coming');
        self::assertTrue($coming('1 2 3 4 5 3'));
        $page->all('.entry-face')[2]->click();
        $page->see('Seen 342.9 times an hour, 8228.6 times a day.', '.entry-body');
        // Just that one, as soon as it has faded in.
        $page->press('Show it', '.entry-body')->until(
            'the season pass',
            static fn () => $page->find('.time-field')->getAttribute('value') === '7.6 s',
        );
        $page->typeIn('One of these after so many others', '1');
        $page->until('after each', static fn () => $coming('1 3 2 3 4 3 5 3'));
        $page->see('All lanes begin anew together every 84.0 s.', '.time-rail');
        $page->tick('Comes between the others')->see('as listed', 'select');
        self::assertSame([], $page->all('.coming'));
    }

    public function testTheMomentSaysWhatShowsAndWhy(): void
    {
        $this->expectRefusals('status of 422');
        $page = $this->page()->signIn();
        $page->open($bench = $this->copied($page, TodayAtTheCafe::ID));
        $page->press('Moment', '.time-rail')->see('In step with A.', '.moment-zones');
        $page->typeIn('Or after its start', '2:13:07')->see('02:13:07', '.lintel .pinned');
        $page->see('for 7.0 s, 1.0 s left', '.moment-zones');
        $page->press('Next change')->see('02:13:08', '.moment-at');
        $page->press('Change before')->see('02:13:07', '.moment-at');
        // A leader, a follower and one between others, a second into each.
        $page->typeIn('Or after its start', '0:09')->see('2 Leek pie', '.moment-zones');
        self::assertSame('Leek pie', self::drawn($page, null, 2));
        $page->typeIn('Or after its start', 'soon')->see('is no time after a start', '[role=alert]');
        self::assertSame('soon', $page->field('Or after its start')->getAttribute('value'));
        $this->assertAccessible($page);
        // A moment has an address, and Escape leads back to the present.
        $page->open("$bench?at=2027-04-01T07:00:00")->see('Thu, 1 Apr 2027, 07:00:00', '.lintel .pinned');
        $page->press('Now')->keys(Keys::ESCAPE)->gone('.pinned');
        $page->see('Particulars', '[role=tab]');
    }

    /** What a zone shows on the stage, its words, at an instant of the rail; null: nothing. */
    private static function drawn(Page $page, ?int $tMs, int $zone): ?string
    {
        if ($tMs !== null) {
            $page->type('.time-field', (string) ($tMs / 1000), Keys::ENTER);
        }

        return $page->script(
            'const zone = [...document.querySelectorAll(".bench-stage .pane-zone")].find((e) => e.dataset.zone === arguments[0]); const shown = [...zone.children].find((e) => !e.hidden); return shown ? shown.innerText.split("\n")[0] : null',
            ['z-0b0c1d00', 'z-poster', 'z-dish'][$zone],
        );
    }
}
