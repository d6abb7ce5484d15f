<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/** The same way without a mouse: every step by Tab, Enter, arrows and the keys of the sheet. */
final class KeyboardTest extends BrowserCase
{
    public function testTheStoryByKeyboardAlone(): void
    {
        $page = $this->page();
        $page->open('/sign-in')->find('#email');
        $page->keys('dina@harrowmere.example', Keys::TAB, 'harrowmere', Keys::ENTER)->see('Elevation', 'h1');

        $page->tabTo('Booking office, 1920');
        $page->keys(Keys::ENTER)->see('Booking office', 'aside h2');
        $page->tabTo('Name of the new design');
        $page->keys('By keys', Keys::ENTER)->see('By keys', '.bench-bar h1');

        $page->until(
            'work goes on in the pane',
            fn () => str_starts_with((string) $this->focused($page, 'aria-label'), 'Zone A'),
        );
        // Keys are commands where the person put the focus.
        $page->keys(Keys::ENTER)->keys('R')->until('two panes', fn () => count($page->all('.pane')) === 2);
        $page->keys('C')->until('three panes', fn () => count($page->all('.pane')) === 3);
        $page->tabTo('Mullion between');
        $line = (int) $this->focused($page, 'aria-valuenow');
        $page->keys(Keys::SHIFT.Keys::ARROW_DOWN.Keys::NULL);
        $page->until(
            'the mullion moved by 10 px',
            fn () => (int) $this->focused($page, 'aria-valuenow') === $line + 10,
        );
        $page
            ->keys(Keys::ARROW_UP)
            ->until('and back by 1 px', fn () => (int) $this->focused($page, 'aria-valuenow') === $line + 9);
        $page
            ->keys(Keys::CONTROL.'z'.Keys::NULL)
            ->until('undone', fn () => (int) $this->focused($page, 'aria-valuenow') !== $line + 9);

        $page->tabTo('Zone A', true);
        $page->keys(Keys::ENTER);
        $page->tabTo('Particulars');
        $page->keys(Keys::ARROW_RIGHT)->see('Lake at dawn.jpg', 'aside');
        $page->tabTo('Put into A: Lake at dawn.jpg');
        $page->keys(Keys::ENTER)->see('Lake at dawn.jpg', '.media-facts');
        $page->tabTo('Zone A', true);
        $page->keys(Keys::ENTER)->keys('m')->until('merged', fn () => count($page->all('.pane')) === 2);
        $page->tabTo('Playhead');
        $page->keys(Keys::ARROW_RIGHT);
        $page->until('a second on', fn () => $this->focused($page, 'aria-valuenow') === '1000');
        $page->keys('?')->see('Split into columns', '.modal');
        $page->until(
            'the sheet has the focus',
            fn () => $page->script('return document.activeElement.closest(".modal.show") !== null'),
        );
        (new WebDriverActions($page->browser))->sendKeys(null, Keys::ESCAPE)->perform();
        $page->gone('.modal');

        // The other pane gets a colour, then release and hand-off.
        $page->tabTo('Zone B', true);
        $page->keys(Keys::ENTER);
        $page->tabTo('Stock');
        $page->keys(Keys::ARROW_LEFT);
        $page->tabTo('Particulars', true);
        $page->tabTo('Fill')->keys(Keys::TAB)->tabTo('Fill');
        $page->keys('colour', Keys::ENTER)->see('Colour', 'aside');
        $page->until('nothing stops it', fn () => $page->all('.title-block .finding-mark.stop') === []);
        $page->see('not released yet', '.title-block');
        $page->tabTo('Release …', true);
        $page->keys(Keys::ENTER)->see('Note', '.modal');
        $page->tabTo('Release revision');
        $page->keys(Keys::ENTER)->see('Release 1 is made', '.modal');
        $page->see('as in release 1', '.title-block');
        $page->tabTo('Go to Hand-off');
        $page->keys(Keys::ENTER)->see('Saving is not showing', '.handoff');
        $page->tabTo('Release to hand off to Booking office');
        $page
            ->keys('By keys')
            ->until(
                'chosen',
                fn () => $page->all('[data-handed="booking"] .hand-row button[type=submit]:not(:disabled)') !== [],
            );
        $page->tabTo('Hand off');
        $page->keys(Keys::ENTER)->see('By keys, release 1', '[data-handed="booking"] dd');
    }

    private function focused(Page $page, string $attribute): ?string
    {
        return $page->script('return document.activeElement.getAttribute(arguments[0])', $attribute);
    }
}
