<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/** Elevation, Stock and Hand-off: each action says where the work goes on, and a sentence behind it changes nothing. */
final class PlacesFocusTest extends BrowserCase
{
    public function testOnTheElevation(): void
    {
        $page = $this->page();
        $page->signIn('ada')->tabTo('Booking office, 1920');
        $face = static fn (string $name) => "[data-surface][aria-label^=\"$name,\"]";
        $this->walk($page, [
            ['chosen', fn () => $page->keys(Keys::ENTER), '[data-surface]'],
            ['once more: a design for it', fn () => $page->keys(Keys::ENTER), '#new-design'],
            ['closer', fn () => $page->press('Zoom in'), '[aria-label="Zoom in"]'],
            ['all of it', fn () => $page->press('Whole', '.zoom-bar'), '.zoom-bar .btn'],
            ['arranging', fn () => $page->press('Arrange'), '.btn'],
            ['arranged', fn () => $page->press('Arrange'), '.btn'],
            ['the areas', fn () => $page->press('Areas', 'aside'), '[role=tab]'],
            ['the particulars', fn () => $page->press('Particulars', 'aside'), '[role=tab]'],
            ['a copy', fn () => $page->press('Duplicate', 'aside'), $face('Booking office, copy')],
            ['put away', fn () => $page->press('Archive', 'aside'), '[data-restore]'],
            ['brought back', fn () => $page->press('Restore', 'aside'), $face('Booking office, copy')],
            ['archived for good', function () use ($page, $face): void {
                $page->click($face('Booking office, copy'))->press('Archive', 'aside');
            }, '[data-restore]'],
            ['a new one', fn () => $page->press('New surface'), 'form.column input'],
        ]);
        $this->assertAccessible($page);
    }

    public function testInTheStock(): void
    {
        $page = $this->page();
        $page->signIn('ada')->press('Stock')->find('.media-card');
        $count = count($page->all('.media-card'));
        $page->press('Notes …');
        $page->until('its first field', fn () => $this->isAt($page, '.modal.show input'));
        $page->keys('Walked', Keys::ENTER)->see('Noted:', '.stays');
        $page->gone('.modal.show');
        $this->walk($page, [
            ['back where it was opened', static fn () => null, '.media-card .btn'],
            ['undone', fn () => $page->press('Undo', '.stays'), 'h1, .media-card .btn'],
            ['chosen', fn () => $page->click('.media-card .pick'), '.media-card .pick'],
            ['filed', fn () => $page->type('.several-bar [list]', 'Quay', Keys::ENTER), '.several-bar [list]'],
            ['undone again', fn () => $page->press('Undo', '.stays'), '.several-bar *, h1'],
            ['none chosen', fn () => $page->press('Choose none', '.several-bar'), '.media-card .pick'],
        ]);
        self::assertCount($count, $page->all('.media-card'));

        // What is used is asked about, and a sentence answers nothing.
        $page->see('used in 1 design', '.media-card');
        $page->script(
            <<<'JS'
            const used = [...document.querySelectorAll(".media-card")].find((one) => /used in 1 design/.test(one.innerText))
            used.querySelector(".remove").click()
            JS,
        );
        $page->until('asked', fn () => $this->isAt($page, '.modal.show, .modal.show *'));
        $this->type($page, 'gtfvmCR-');
        $page->keys(Keys::ESCAPE)->gone('.modal.show');
        self::assertCount($count, $page->all('.media-card'));
        $this->assertAccessible($page);
    }

    /** From a finished design to all of its surfaces in four steps. */
    public function testWhatIsReleasedIsHandedOffAtOnce(): void
    {
        $page = $this->page();
        $page->signIn('ada')->open('/bench/0b0c1d00-0000-4000-8000-000000000007')->find('.pane');
        $page->press('Release …')->press('Release revision', '.modal');
        $made = $page->see('is made', '.modal')->getText();
        self::assertSame(1, preg_match('/Release (\d+) is made/', $made, $release));
        $this->assertAccessible($page);
        $page->press('Hand it off now to Quay ribbon', '.modal')->see('Hand-off', 'h1');
        $page->see("Next boats, release $release[1]", '[data-handed="ribbon"] dd');
    }

    public function testInHandOff(): void
    {
        $page = $this->page();
        $page->signIn('ada')->press('Hand-off')->see('Booking office board', '[data-handed="booking"]');
        $card = '[data-handed="booking"]';
        $page->script("document.querySelector('$card select').value = document.querySelector('$card option:not([disabled])').value; document.querySelector('$card select').dispatchEvent(new Event('change', { bubbles: true }))");
        $this->walk($page, [
            ['handed off', fn () => $page->press('Hand off', $card), "$card select"],
        ]);
        // Another test may have paired it before.
        $page->all("$card .pairing-code") !== [] || $page->press('Pair another screen', $card);
        $page->type("$card .pairing-code", 'NO-SUCH');
        $this->expectRefusals('status of 422', 'status of 409', 'status of 404');
        $page->keys(Keys::ENTER)->find("$card .refusal");
        $page->until('back at what was typed', fn () => $this->isAt($page, "$card .hand-row *"));
        self::assertSame('NO-SUCH', $page->find("$card .pairing-code")->getAttribute('value'));
        $this->assertAccessible($page);
    }

    /**
     * @param list<array{string, \Closure(): mixed, string}> $acts what, how, and where the focus is then
     */
    private function walk(Page $page, array $acts): void
    {
        foreach ($acts as [$what, $act, $at]) {
            $act();
            $page->until("$what: at $at", fn () => $this->isAt($page, $at));
            $surfaces = count($page->all('[data-surface]'));
            $place = $page->browser->getCurrentURL();
            $inField = $page->script('return document.activeElement.matches("input:not([type=checkbox]), textarea, select")');
            $inField || $this->type($page, 'gtfvmCR-');
            self::assertSame(
                [$surfaces, $place, []],
                [count($page->all('[data-surface]')), $page->browser->getCurrentURL(), $page->all('.modal.show')],
                "a sentence behind: $what",
            );
        }
    }

    private function isAt(Page $page, string $css): bool
    {
        return (bool) $page->script(
            'return !document.querySelector(".focus-holder") && document.activeElement.matches(arguments[0])',
            $css,
        );
    }

    private function type(Page $page, string $words): void
    {
        foreach (mb_str_split($words) as $letter) {
            $page->key('keyDown', $letter)->key('keyUp', $letter);
        }
    }
}
