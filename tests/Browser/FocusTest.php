<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/**
 * Every action says where the work goes on: a sentence typed behind it stands where it belongs, and nothing else has
 * changed, also while the server answers slowly.
 */
final class FocusTest extends BrowserCase
{
    /** Each of its letters is a command of the canvas somewhere. */
    private const WORDS = 'Crew room, floor 1: gtfvm CR-12';
    private const SLOW_MS = 700;

    public function testWordsTypedBehindAnActionStandWhereTheyBelong(): void
    {
        $page = $this->begun('Words behind');
        $this->slowly($page);
        $page->press('text', '.empty-help');
        $this->type($page, self::WORDS);
        $page->until('the words', fn () => $this->words($page) === self::WORDS);
        $this->assertZones($page, 1);

        // Drawn while the Stock is open: its words come first all the same.
        $page->press('Stock', '.tabs')->press('Text', '.bench-bar')->find('.draw-sheet');
        $page->keys(Keys::ENTER);
        $this->type($page, self::WORDS);
        $page->until('the words of the float', fn () => $this->words($page) === self::WORDS);
        $this->assertZones($page, 2);

        // The copy goes, not what it was copied from.
        $first = (string) $page->find('.float')->getAttribute('data-float');
        $page->click('.float .float-face');
        $page->key('keyDown', Keys::CONTROL);
        $this->type($page, 'd');
        $page->key('keyUp', Keys::CONTROL)->until('a copy', fn () => count($page->all('.float')) === 2);
        $page->until('the copy has the focus', fn () => $this->float($page) !== $first && $this->float($page) !== '');
        $page->keys(Keys::DELETE)->until('one float', fn () => count($page->all('.float')) === 1);
        self::assertSame($first, $page->find('.float')->getAttribute('data-float'));
    }

    public function testRowsOfAChartAreTypedByKeysAlone(): void
    {
        $page = $this->begun('Rows by keys');
        $page->press('chart', '.empty-help')->find('.rows');
        $this->slowly($page);
        $add = static fn () => $page->press('Add a row', '.rows');
        foreach (['Pier A' => '12', 'Mole C' => '7', 'Tier R' => '31'] as $label => $value) {
            $add();
            $page->keys($label, Keys::TAB, $value);
        }
        $page->keys(Keys::TAB);
        $rows = static fn () => $page->script(
            <<<'JS'
            const valuesOf = (row) => [...row.querySelectorAll("input")].map((input) => input.value).join(" ")
            return [...document.querySelectorAll(".chart-row")].map(valuesOf)
            JS,
        );
        $page->until('saved', fn () => $page->script(
            'return document.querySelector(".bench-bar").innerText.includes("saved")',
        ));
        self::assertSame(['Pier A 12', 'Mole C 7', 'Tier R 31'], $rows());
        $this->assertZones($page, 1);
    }

    /** What a kind held comes back with it, and the keys that look through the kinds change nothing. */
    public function testLookingThroughTheKindsKeepsTheWords(): void
    {
        $page = $this->begun('Kept words');
        $page->press('text', '.empty-help')->find('[data-fill] textarea');
        $page->keys('Keep me');
        $page->until('kept', fn () => $page->script(
            'return document.querySelector(".bench-stage").innerText.includes("Keep me")',
        ));
        $revision = fn () => (string) $page->script(
            'return document.querySelector(".bench-bar").innerText.match(/revision \d+/)?.[0]',
        );
        $before = $revision();
        $page->field('Fill')->sendKeys(Keys::ARROW_DOWN.Keys::ARROW_UP.Keys::TAB);
        self::assertSame([$before, 'Keep me'], [$revision(), $this->words($page)]);
        $page->choose('Fill', 'clock')->until('a clock', fn () => $revision() !== $before);
        $page->choose('Fill', 'text')->until('the words are back', fn () => $this->words($page) === 'Keep me');
    }

    /** Buttons that go away with what they did, dialogs, undo: nothing is ever split, merged or drawn by a sentence. */
    public function testASentenceBehindAnyActionChangesNothing(): void
    {
        $page = $this->begun('Nothing else');
        $acts = [
            'split' => [2, static fn () => $page->press('into columns', '.empty-help')],
            'undo' => [1, static fn () => $page->press('Undo', '.bench-bar')],
            'redo' => [2, static fn () => $page->press('Redo', '.bench-bar')],
            'the Stock' => [2, static fn () => $page->press('Stock', '.tabs')],
            'the particulars' => [2, static fn () => $page->press('Particulars', '.tabs')],
            'findings' => [2, static fn () => $page->press('2 stops', '.title-block')],
            'back' => [2, static fn () => $page->keys(Keys::ESCAPE)],
        ];
        $panes = static fn () => $page->script('return document.querySelectorAll(".pane").length');
        foreach ($acts as $name => [$count, $act]) {
            $act();
            $page->until("$name is done", fn () => $panes() === $count && $page->script(
                <<<'JS'
                const saved = document.querySelector(".bench-bar").innerText.includes("saved")
                return saved && !document.querySelector(".focus-holder") && document.activeElement.tagName !== "BODY"
                JS,
            ));
            // Keys are typed only where they could be commands; fields and lists of kinds have their own.
            if ($page->script('return document.activeElement.matches(".pane-face, .float-face, [tabindex=\"-1\"]")')) {
                $this->type($page, 'gtfvmCR-');
                self::assertSame([], $page->all('.draw-sheet'), "after $name");
            }
            self::assertSame([$count, 1], [$panes(), count($page->all('[data-scene]'))], "after $name");
        }
        $page->press('Add a scene')->find('.modal.show');
        $page->until('its first field', fn () => $page->script('return document.activeElement.id === "scene-name"'));
        $page->keys('Evening', Keys::ENTER)->until('a second scene', fn () => count($page->all('[data-scene]')) === 2);
        $page->until('the work goes on', fn () => $page->script('return document.activeElement.matches(".pane-face")'));
        $this->assertAccessible($page);
    }

    private function begun(string $name): Page
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="booking"]')->typeIn('Name of the new design', $name, Keys::ENTER);
        $page->see($name, '.bench-bar h1');
        $page->find('.empty-help');

        return $page;
    }

    /** The server's answers to edits come later. */
    private function slowly(Page $page): void
    {
        $page->script(
            <<<'JS'
            const [real, ms] = [window.fetch, arguments[0]]
            const later = (answer) => new Promise((done) => setTimeout(() => done(answer), ms))
            window.fetch = (...all) => (String(all[0]).includes('/batches') ? real(...all).then(later) : real(...all))
            JS
            ,
            self::SLOW_MS,
        );
    }

    private function type(Page $page, string $words): void
    {
        foreach (mb_str_split($words) as $letter) {
            $page->key('keyDown', $letter)->key('keyUp', $letter);
        }
    }

    private function words(Page $page): string
    {
        return (string) $page->script('return document.querySelector("[data-fill] textarea")?.value ?? ""');
    }

    private function float(Page $page): string
    {
        return (string) $page->script('return document.activeElement.closest("[data-float]")?.dataset.float ?? ""');
    }

    private function assertZones(Page $page, int $count): void
    {
        $page->until("$count zones", fn () => count($page->all('.pane, .float')) === $count);
    }
}
