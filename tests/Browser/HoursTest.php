<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/** Days and hours of entries, from the sentence that somebody types to the player that goes by it. */
final class HoursTest extends BrowserCase
{
    private const RIBBON = '0b0c1d00-0000-4000-8000-000000000007';

    public function testAnEntryIsShownAtItsHoursAlone(): void
    {
        $this->expectRefusals('status of 422');
        $page = $this->page()->signIn();
        $page->open($this->copied($page, self::RIBBON))->click('.pane-face');
        $lane = fn (): string => implode(' ', array_map(
            static fn ($piece) => (string) (int) $piece->getText(),
            $page->all('.rail-lanes .lane:first-of-type .piece'),
        ));
        $page->until('three in turn', fn () => str_starts_with($lane(), '1 2 3 1 2 3'));

        $this->entry($page, 1)->typeIn('Days and hours', 'now and then', Keys::ENTER)->see('such as', '.entry-body');
        self::assertSame('now and then', $page->field('Days and hours')->getAttribute('value'), 'what was typed stays');
        $now = new \DateTimeImmutable('now', new \DateTimeZone('Europe/London'));
        $hours = static fn (string $from, string $until): string => 'every day, '
            .$now->modify($from)->format('H:i').' to '.$now->modify($until)->format('H:i');
        $page->typeIn('Days and hours', $hours('-2 hours', '+2 hours'), Keys::ENTER);
        $page->see('Next:', '.entry-body');
        $page->see($hours('-2 hours', '+2 hours').', from ', '.entry-face .entry-when');
        $this->assertAccessible($page);
        $this->entry($page, 1);
        $this->entry($page, 2)->typeIn('Days and hours', $hours('+4 hours', '+6 hours'), Keys::ENTER);
        $page->until('the third is not on now', fn () => str_starts_with($lane(), '1 2 1 2 1 2'));
        $this->entry($page, 2);
        $this->entry($page, 1)->tick('Alone: nothing else of the list while it is on');
        $page->until('the second alone', fn () => str_starts_with($lane(), '2 2 2 2'));
        $page->see('13:10 Aldermoor', '.bench-stage');

        $this->release($page, 'By hours');
        $player = $this->page(960, 96)->open('/play/ribbon-1');
        $this->pair($page, $player, 'ribbon-1');
        $this->handOff($page, 'ribbon', 'Copy of Next boats');
        $player->until('it plays', fn () => $player->all('.pane-text') !== [], 30);
        $page->until('it is proven', fn () => $page->all('[data-handed="ribbon"] .state.proven') !== [], 40);
        $player->until('the second alone', fn () => $player->script(
            'return [...document.querySelectorAll(".pane-text")].filter((one) => one.checkVisibility()).map((one) => one.innerText).join()',
        ) === '13:10 Aldermoor, gate 2');
    }

    /** Opens an entry, or closes it. */
    private function entry(Page $page, int $index): Page
    {
        $page->all('.entry-face')[$index]->click();

        return $page;
    }
}
