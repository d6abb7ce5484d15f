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
    private const FIELDS = <<<'JS'
        const fields = () => [...document.querySelectorAll("aside :is(input, textarea)")].filter(
            (one) => one.getClientRects().length && !one.disabled && !/checkbox|radio|color|file|range|date/.test(one.type),
        );
        JS;

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

    /** Somebody else changes the same design meanwhile: what is being typed stays, and goes on where it was. */
    public function testWhatIsTypedStaysWhileSomebodyElseEdits(): void
    {
        $page = $this->begun('Two at once');
        $page->press('into columns', '.empty-help')->find('.pane + .pane');
        $page->click('.pane-face')->press('text', '.empty-help')->find('[data-fill] textarea');
        $other = $this->page();
        $other->signIn('ada')->open((string) parse_url($page->browser->getCurrentURL(), \PHP_URL_PATH));
        $other->find('.pane + .pane');
        [$half, $rest] = ['Crew room, ', 'floor 1'];
        $this->type($page, $half);
        $other->all('.pane-face')[1]->click();
        $other->press('colour', '.empty-help')->see('saved', '.bench-bar');
        $page->see('Ada', '.news-note');
        $this->type($page, $rest);

        $page->until('the words', fn () => $this->words($page) === $half.$rest);
        $other->see($half.$rest, '.bench-stage');
        $this->assertZones($page, 2);
    }

    /** The last letters too: they are kept as the page is left. */
    public function testAClosedTabTakesNoWordsWithIt(): void
    {
        $page = $this->begun('Closed at once');
        $page->press('text', '.empty-help')->find('[data-fill] textarea');
        $address = $page->browser->getCurrentURL();
        $first = $page->browser->getWindowHandle();
        $page->browser->newWindow();
        $other = array_values(array_diff($page->browser->getWindowHandles(), [$first]))[0];
        $page->browser->switchTo()->window($first);
        $page->find('[data-fill] textarea');
        $page->script('document.querySelector("[data-fill] textarea").focus()');
        $page->keys(self::WORDS);
        $page->browser->close();
        $page->browser->switchTo()->window($other);
        $page->browser->get($address);

        $page->see(self::WORDS, '.bench-stage');
    }

    /** Ten thousand signs pasted into every field of what a zone can show: taken, cut or refused, and all goes on. */
    public function testTooMuchIsPastedIntoEachField(): void
    {
        $page = $this->begun('Too much');
        $this->expectRefusals('status of 422');
        foreach (['text', 'clock', 'count-down', 'QR code', 'shape', 'chart', 'web page'] as $kind) {
            $page->choose('Fill', $kind)->until($kind, fn () => $page->script(
                'return !document.querySelector(".focus-holder") && document.querySelector(".bench-bar").innerText.includes("saved")',
            ));
            $kind === 'chart' && $page->press('Add a row', '.rows');
            $fields = (int) $page->script(self::FIELDS.'return fields().length');
            self::assertGreaterThan(3, $fields, $kind);
            for ($index = 0; $index < $fields; ++$index) {
                $page->script(
                    self::FIELDS.
                        <<<'JS'
                        const field = fields()[arguments[0]]
                        field?.focus()
                        field?.select?.()
                        document.execCommand("insertText", false, "9x".repeat(5000))
                        field?.blur()
                        JS,
                    $index,
                );
                $page->until("$kind $index is answered", fn () => $page->script(
                    'return !/saving|waits?\b/.test(document.querySelector(".bench-bar").innerText)',
                ));
            }
            $this->assertZones($page, 1);
        }
        $page->browser->navigate()->refresh();
        $page->find('.pane');
        $this->assertZones($page, 1);
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
