<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/** Layouts begun with a starter, divided by lists, turned, and their contents exchanged; by mouse and by keys. */
final class GlazingTest extends BrowserCase
{
    public function testPanesAreCarvedFromALatticeByMouseAndKeys(): void
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="booking"]')->typeIn('Name of the new design', 'Carved', Keys::ENTER);
        $page->see('Carved', '.title-block');
        $page->click('.pane-face')->keys('g');
        $layer = $page->find('.lattice-layer');
        $size = $layer->getSize();
        [$column, $row] = [$size->getWidth() / 12, $size->getHeight() / 8];
        $drag = (new WebDriverActions($page->browser))
            ->moveToElement($layer, (int) (($column - $size->getWidth()) / 2), (int) (($row - $size->getHeight()) / 2))
            ->clickAndHold()
            ->moveByOffset((int) (7 * $column), (int) (5 * $row));
        $drag->perform();
        $page->see('8 × 6 cells · 1280 × 810 px', '.lattice-layer');
        (new WebDriverActions($page->browser))->release()->perform();
        $page->until('carved, and all tiled', fn () => $this->area($page) === [[1280, 810], 1920 * 1080]);

        // Over a part of a column that shows something, it cannot be tiled: a float is offered.
        $page->keys(Keys::ESCAPE)->gone('.lattice-layer');
        $page->keys(Keys::CONTROL.'z'.Keys::NULL)->until('one pane', fn () => count($page->all('.pane')) === 1);
        $page->click('.pane-face')->typeIn('Divide into', '3', '')->press('into columns', '.divide');
        $page->until('three panes', fn () => count($page->all('.pane')) === 3);
        foreach ($page->all('.pane-face') as $face) {
            $face->click();
            $page->press('colour', 'aside')->until('filled', fn () => $page->all('#bench-panel .empty-help') === []);
        }
        $this->expectRefusals('status of 422');
        $page->click('.pane-face')->keys('g');
        $page->find('.lattice-layer');
        $page->keys(...array_fill(0, 9, Keys::SHIFT.Keys::ARROW_RIGHT.Keys::NULL));
        $page->see('10 × 1 cells', '.lattice-layer');
        $page->keys(Keys::ENTER)->find('.lattice-offer');
        $this->assertAccessible($page);
        $page->press('Make it a float')->find('.float');
    }

    public function testALayoutIsKeptAsAStarterTakenAwayAndBroughtBack(): void
    {
        $page = $this->page();
        $page->signIn()->open('/bench/0b0c1d00-0000-4000-8000-000000000005')->find('.pane');
        $count = count($page->all('.pane'));
        $page->press('Scene …')->typeIn('Name of the starter', 'Three menus')->press('Keep as a starter');
        $page->see('“Three menus” is among the starters.', 'aside');
        $this->assertAccessible($page);
        $page->open('/harrowmere/elevation/gate-1')->typeIn('Name of the new design', 'From ours', Keys::ENTER);
        $page->see('From ours', '.title-block');
        $page->tabTo('Remove the starter Three menus')->keys(Keys::ENTER)->see('is removed', '.starters');
        $page->tabTo('Undo')->keys(Keys::ENTER)->find('[aria-label="Remove the starter Three menus"]');
        $this->assertAccessible($page);
        $page->tabTo('Three menus: ', true)->keys(Keys::ENTER);
        $page->until('as many panes', fn () => count($page->all('.pane')) === $count);
    }

    /** A locked width stays, whatever is done beside it; a letter dragged onto another pane swaps contents. */
    public function testASizeIsLockedAndContentsAreSwappedByDragging(): void
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="booking"]')->typeIn('Name of the new design', 'Locked', Keys::ENTER);
        $page->see('Locked', '.title-block');
        $page->click('.pane-face')->keys('C');
        $page->until('two panes', fn () => count($page->all('.pane')) === 2);
        $page->typeIn('Width', '700')->see('700 × 1080 px', 'aside .measure');
        $page->press('Lock: Width', 'aside')->find('[aria-label="Lock: Width"][aria-pressed="true"]');
        $page->drag('.mullion', 80, 0);
        $page->find('.mullion')->sendKeys(Keys::ARROW_RIGHT);
        $page->see('700 × 1080 px', '#bench-panel .measure');
        self::assertNotNull($page->field('Width')->getAttribute('disabled'));
        $this->assertAccessible($page);
        $page->tabTo('Lock: Width')->keys(Keys::ENTER)->find('[aria-label="Lock: Width"][aria-pressed="false"]');

        $page->press('text', 'aside')->type('#bench-panel textarea', 'Mind the gap', Keys::TAB);
        $page->see('Mind', '.bench-stage');
        $labels = static fn (): array => array_map(
            static fn ($face) => $face->getAttribute('aria-label'),
            $page->all('.pane-face'),
        );
        self::assertStringEndsWith('text', $labels()[0]);
        $page->dragTo($page->find('.pane.chosen .grip'), $page->all('.pane-face')[1]);
        $page->until('swapped', static fn () => str_ends_with($labels()[1], 'text'));
        self::assertStringEndsNotWith('text', $labels()[0]);
        $page->keys(Keys::CONTROL.'z'.Keys::NULL);
        $page->until('in one step back', static fn () => str_ends_with($labels()[0], 'text'));
    }

    /** @return array{list<int>, int} size of the chosen pane, and what all panes cover */
    private function area(Page $page): array
    {
        return (array) $page->script(
            'const sizes = [...document.querySelectorAll(".pane-face")].map((face) => face.getAttribute("aria-label").match(/(\\d+) × (\\d+) px/).slice(1).map(Number)); const chosen = document.querySelector(".pane.chosen .pane-face").getAttribute("aria-label").match(/(\\d+) × (\\d+) px/).slice(1).map(Number); return [chosen, sizes.reduce((sum, [w, h]) => sum + w * h, 0)]',
        );
    }

    public function testBeginsWithAStarterAndDividesByLists(): void
    {
        $page = $this->design('By starters');
        $page->click('.design-name')->find('.name-field:focus');
        $page->keys(Keys::END, ' and lists', Keys::ENTER)->see('By starters and lists', '.bench-bar h1');
        $page->see('Begin with', '.starters');
        $this->assertAccessible($page);
        $page->click('[aria-label^="Main and side over a strip"]');
        $this->panes($page, ['1280 × 900', '640 × 900', '1920 × 180']);

        $page->click('.pane:nth-child(3) .pane-face')->typeIn('Divide into', '300px 1fr 20%', '');
        $page->press('into columns', '.divide');
        $this->panes($page, ['1280 × 900', '640 × 900', '300 × 180', '1236 × 180', '384 × 180']);
        $this->expectRefusals('422');
        $page->typeIn('Divide into', '2000px', '')->press('into rows', '.divide');
        $page->see('more than the', '.divide .refusal');
        self::assertSame('2000px', $page->field('Divide into')->getAttribute('value'));
        $page->press('Turn its split', '.divide');
        $this->panes($page, ['1280 × 900', '640 × 900', '1920 × 28', '1920 × 116', '1920 × 36']);
        $page->keys(Keys::CONTROL.'z'.Keys::NULL);
        $this->panes($page, ['1280 × 900', '640 × 900', '300 × 180', '1236 × 180', '384 × 180']);
    }

    public function testByKeyboardAloneAndExchangesContent(): void
    {
        $page = $this->design('By starter keys');
        $page->until('a starter has the focus', static function () use ($page): bool {
            $page->keys(Keys::TAB);

            return $page->script('return document.activeElement.ariaLabel?.startsWith("Two halves") === true');
        });
        $page->keys(Keys::ENTER)->until('two halves', static fn () => count($page->all('.pane')) === 2);
        $page->click('.pane:nth-child(1) .pane-face')->press('colour', '.empty-help');
        $page->until('A is a colour', fn () => str_contains($this->label($page, 1), 'colour'));
        $page->choose('Exchange content with', 'B');
        $page->until('now B is', fn () => str_contains($this->label($page, 2), 'colour'));
        self::assertStringContainsString('nothing yet', $this->label($page, 1));
        $page->click('.pane:nth-child(1) .pane-face')->typeIn('Divide into', '4', Keys::ENTER);
        $page->until('four equal parts and B', static fn () => count($page->all('.pane')) === 5);
    }

    private function design(string $name): Page
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="booking"]')->see('Booking office', 'aside h2');
        $page->typeIn('Name of the new design', $name, Keys::ENTER)->see($name, '.bench-bar h1');
        $page->find('.starter');

        return $page;
    }

    private function label(Page $page, int $pane): string
    {
        return (string) $page->find(".pane:nth-child($pane) .pane-face")->getAttribute('aria-label');
    }

    /** @param list<string> $sizes in reading order */
    private function panes(Page $page, array $sizes): void
    {
        $page->until(implode(', ', $sizes), static function () use ($page, $sizes): bool {
            $labels = array_map(
                static fn ($face) => (string) $face->getAttribute('aria-label'),
                $page->all('.pane-face'),
            );

            $seen = array_map(
                static fn (string $label) => preg_match('/\d+ × \d+/', $label, $size) === 1 ? $size[0] : '',
                $labels,
            );

            return $seen === $sizes;
        });
    }
}
