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

        $this->tabTo($page, 'Booking office, 1920');
        $page->keys(Keys::ENTER)->see('Booking office', 'aside h2');
        $this->tabTo($page, 'Name of the new design');
        $page->keys('By keys', Keys::ENTER)->see('By keys', '.bench-bar h1');

        $page->until(
            'work goes on in the pane',
            fn () => str_starts_with((string) $this->focused($page, 'aria-label'), 'Zone A'),
        );
        $page->keys('R')->until('two panes', fn () => count($page->all('.pane')) === 2);
        $page->keys('C')->until('three panes', fn () => count($page->all('.pane')) === 3);
        $this->tabTo($page, 'Mullion between');
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

        $this->tabTo($page, 'Zone A', true);
        $page->keys(Keys::ENTER);
        $this->tabTo($page, 'Particulars');
        $page->keys(Keys::ARROW_RIGHT)->see('Lake at dawn.jpg', 'aside');
        $this->tabTo($page, 'Put into A: Lake at dawn.jpg');
        $page->keys(Keys::ENTER)->see('Lake at dawn.jpg', '.media-facts');
        $this->tabTo($page, 'Zone A', true);
        $page->keys('m')->until('merged', fn () => count($page->all('.pane')) === 2);
        $this->tabTo($page, 'Playhead');
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
        $this->tabTo($page, 'Zone B', true);
        $page->keys(Keys::ENTER);
        $this->tabTo($page, 'Stock');
        $page->keys(Keys::ARROW_LEFT);
        $this->tabTo($page, 'Particulars', true);
        $this->tabTo($page, 'Fill');
        $page->keys('colour')->see('Colour', 'aside');
        $page->until('nothing stops it', fn () => $page->all('.title-block .finding-mark.stop') === []);
        $this->tabTo($page, 'Release …', true);
        $page->keys(Keys::ENTER)->see('Note', '.modal');
        $this->tabTo($page, 'Release revision');
        $page->keys(Keys::ENTER)->see('Release 1 is made.', '.modal');
        $this->tabTo($page, 'Go to Hand-off');
        $page->keys(Keys::ENTER)->see('Saving is not showing', '.handoff');
        $this->tabTo($page, 'Release to hand off');
        $page
            ->keys('By keys')
            ->until(
                'chosen',
                fn () => $page->all('[data-player="booking-1"] button[type=submit]:not(:disabled)') !== [],
            );
        $this->tabTo($page, 'Hand off');
        $page->keys(Keys::ENTER)->see('By keys, release 1', '[data-player="booking-1"] dd');
    }

    /** Presses Tab until what has the focus is named so. */
    private function tabTo(Page $page, string $name, bool $back = false): void
    {
        $seen = [];
        for ($press = 0; $press < 120; ++$press) {
            $focused = (string) $page->script(
                'const e = document.activeElement; return e.getAttribute("aria-label") || (e.labels && e.labels[0] ? e.labels[0].innerText.split("\n")[0] : e.innerText) || ""',
            );
            $seen[] = mb_substr(trim($focused), 0, 24);
            if (str_starts_with(trim($focused), $name)) {
                return;
            }
            $actions = new WebDriverActions($page->browser);
            ($back
                ? $actions->keyDown(null, Keys::SHIFT)->sendKeys(null, Keys::TAB)->keyUp(null, Keys::SHIFT)
                : $actions->sendKeys(null, Keys::TAB)
            )->perform();
        }
        self::fail("Tab never reached “{$name}”: ".implode(' > ', array_slice($seen, 0, 60)));
    }

    private function focused(Page $page, string $attribute): ?string
    {
        return $page->script('return document.activeElement.getAttribute(arguments[0])', $attribute);
    }
}
