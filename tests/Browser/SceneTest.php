<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/** Scenes: how long they last, the round, what they share, what lies behind them. */
final class SceneTest extends BrowserCase
{
    public function testScenesAreDuplicatedSharedTimedAndGroundedByMouse(): void
    {
        $page = $this->begin('Scenes by mouse');
        $page->press('colour', 'aside')->until('filled', static fn () => $page->all('.finding-mark.stop') === []);
        $page->press('Scene …')->see('It is the rest scene', 'aside');
        $page->choose('Lasts', 'a time')->typeIn('Time', '8');
        $page->press('Duplicate with the same zones')->see('Copy of Rest', '.frieze .current');
        $page->see('8.0 s', '.frieze .current');
        $page->see('×2', '.edge-letter');
        $this->assertAccessible($page);

        [$rest, $copy] = $page->all('.frieze [data-scene]');
        $page
            ->dragTo($copy, $rest)
            ->until('it takes that place', fn () => self::frieze($page) === ['Copy of Rest', 'Rest']);
        $page->click('.frieze [data-scene]')->keys(Keys::ALT.Keys::ARROW_RIGHT);
        $page->until('and goes back by keys', fn () => self::frieze($page) === ['Rest', 'Copy of Rest']);

        $page->press('Back', 'aside')->click('.pane-face')->see('A also stands in the scene Rest', 'aside');
        $page->press('Make it its own here');
        $page->until('the copy has a letter of its own', fn () => self::letters($page) === ['B']);
        $page->choose('Show here a zone of another scene', 'A');
        $page->until('and is shared again', fn () => self::letters($page) === ['A']);

        $page->press('Scene …')->tick('in the round')->see('It shows only when something calls it.', 'aside');
        $page->press('Make it the rest scene')->see('It is the rest scene', 'aside');
        $page->choose('Lasts', 'until')->see('1 stop', '.title-block');
    }

    public function testAPictureIsDraggedBehindASceneAndTakenAwayByKeys(): void
    {
        $page = $this->begin('Grounds');
        $page->press('Stock', 'aside')->find('.carriable');
        $card = $page->see('Harbour at dusk.png', '.carriable');
        $page->dragTo($card, $page->find('.frieze [data-scene]'));
        $page->until('it is drawn behind the empty pane', fn () => self::behind($page));
        $page->tabTo('Scene …', true)->keys(Keys::ENTER)->tabTo('Ground is');
        self::assertSame('Harbour at dusk.png', $page->script('return document.activeElement.selectedOptions[0].text'));
        $this->assertAccessible($page);
        $page->keys(Keys::HOME)->until('a colour again', fn () => !self::behind($page));
        $page->tabTo('Undo', true)->keys(Keys::ENTER)->until('and back', fn () => self::behind($page));
    }

    private function begin(string $name): Page
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="booking"]')->typeIn('Name of the new design', $name, Keys::ENTER);
        $page->see($name, '.title-block');

        return $page;
    }

    /** @return list<string> of the panes on the canvas */
    private static function letters(Page $page): array
    {
        return $page->script(
            'return [...document.querySelectorAll(".pane .edge-letter b, .pane .pane-label b")].map((one) => one.textContent.trim())',
        );
    }

    /** @return list<string> the scenes in their order */
    private static function frieze(Page $page): array
    {
        return $page->script(
            'return [...document.querySelectorAll(".frieze [data-scene] span:first-child")].map((one) => one.textContent.trim())',
        );
    }

    private static function behind(Page $page): bool
    {
        return (bool) $page->script(
            'return [...document.querySelectorAll(".bench-middle img")].some((one) => one.src.includes("/media/") && one.getBoundingClientRect().width > 100)',
        );
    }
}
