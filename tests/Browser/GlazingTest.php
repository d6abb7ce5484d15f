<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/** Layouts begun with a starter, divided by lists, turned, and their contents exchanged; by mouse and by keys. */
final class GlazingTest extends BrowserCase
{
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

            return $page->script('return document.activeElement.classList.contains("starter")');
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
