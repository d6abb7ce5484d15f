<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;

/** What people note of the files of the Stock, and what becomes of one whose last day is over. */
final class NotesTest extends BrowserCase
{
    public function testAFileIsNotedFoundAndNotShownAfterItsLastDay(): void
    {
        $page = $this->page();
        $page->signIn()->click('a[href$="/stock"]')->find('.media-card');
        $card = fn (): string => '[data-media="'.$page->script(
            'return [...document.querySelectorAll(".media-card")]'.
                '.find((one) => one.textContent.includes("Season pass poster")).dataset.media',
        ).'"]';
        $page->press('Notes …', $card())->find('.modal input');
        $page->typeIn('Tags', 'Season, poster , season')->typeIn('Licence and source', 'Drawn by Ida Marsh');
        $page->field('May be shown up to')->sendKeys('03012020');
        $this->assertAccessible($page);
        $page->press('Note it', '.modal')->gone('.modal');
        $page->see('Drawn by Ida Marsh', $card());
        self::assertSame(['poster', 'season'], $page->script(
            'return [...document.querySelectorAll(arguments[0])].map((one) => one.textContent)',
            $card().' .tags span',
        ));
        $page->type('#stock-search', 'ida marsh')->until('alone', fn () => count($page->all('.media-card')) === 1);

        $page->click('a[href$="/elevation"]')->click('[data-surface="booking"]');
        $page->typeIn('Name of the new design', 'Over', Keys::ENTER)->see('Over', '.title-block');
        $page->click('.pane-face')->press('Stock', '.tabs')->type('#shelf-search', 'Season pass')->press('Put into A');
        $page->press('Particulars', '.tabs')->see('nothing is shown in its place', 'aside');
        $page->until('standby', fn () => $page->script(
            'const picture = document.querySelector(".pane-picture img")'.
                '; return picture && getComputedStyle(picture).visibility === "hidden"',
        ));

        $page->click('a[href$="/stock"]')->find('.media-card');
        $page->press('Notes …', $card())->find('.modal input');
        $page->field('May be shown up to')->sendKeys(Keys::BACKSPACE);
        $page->press('Note it', '.modal')->gone('.modal');
        $page->until('without a day', fn () => !str_contains($page->find($card())->getText(), 'up to'));
        $page->press('Undo', '.place-note')->see('up to', $card());
    }
}
