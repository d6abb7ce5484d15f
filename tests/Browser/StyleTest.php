<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Files;
use UpperPane\Tests\Support\Page;

/** A house style is made, used by a design, changed, and compared with another one. */
final class StyleTest extends BrowserCase
{
    public function testADesignFollowsItsHouseStyle(): void
    {
        $this->expectRefusals('status of 422');
        $page = $this->page();
        $page->signIn()->click('a[href$="/stock"]')->find('.media-card');
        $page->click('a[href$="/stock/styles"]')->see('House styles', 'h1');
        $page->type('#style-new', 'Quayside')->press('Make it')->see('Add a colour');
        $page->until('empty', fn () => $page->all('.colour-line') === []);
        foreach ([['Ink', '#102030'], ['Paper', '#F4F1EA']] as $index => [$name, $hex]) {
            $page->press('Add a colour')->until('one more', fn () => count($page->all('.colour-line')) === $index + 1);
            $this->set($page, $index, 1, $name);
            $this->set($page, $index, 2, $hex);
        }
        $page->until('their contrast', fn () => str_contains($page->find('table')->getText(), '14.64'));
        $this->set($page, 1, 2, 'beige');
        $page->see('“beige”');
        $page->press('Add a step')->find('.type-line');
        $page->keys(Keys::CONTROL.'z'.Keys::NULL)->until('undone', fn () => $page->all('.type-line') === []);
        $page->press('Redo')->find('.type-line');
        $this->assertAccessible($page);
        $page->type('#style-new', 'Winter')->press('Like this one');
        $called = fn (): string => (string) $page->find('.style-head input')->getAttribute('value');
        $page->until('two colours in Winter', fn () => $called() === 'Winter'
            && count($page->all('.colour-line')) === 2);
        $this->set($page, 0, 2, '#3F7CAC');
        $tokens = ['late' => ['$type' => 'duration', '$value' => ['value' => 1, 'unit' => 'ms']]];
        $tokens['red'] = ['$type' => 'color', '$value' => '#A63D2A'];
        $page->browser
            ->findElement(WebDriverBy::cssSelector('.style-head input[type=file]'))
            ->sendKeys(Files::bytes('quay.tokens.json', (string) json_encode($tokens)));
        $page->see('1 token was not taken: late');
        self::assertCount(3, $page->all('.colour-line'));

        // A design chooses the first, names its ink, and stands beside itself in the other.
        $page->click('a[href$="/elevation"]')->click('[data-surface="booking"]');
        $page->typeIn('Name of the new design', 'By the house', Keys::ENTER)->see('By the house', '.title-block');
        $page->press('colour', '.empty-help')->press('Booking office', '.title-block');
        $page->choose('House style of this design', 'Quayside')->see('saved', '.bench-bar');
        $page->tick('Nothing moves: texts stand still, everything changes by a cut');
        $page->until('noted', fn () => $page->find('.save-word')->getText() === 'saved, revision 3');
        $page->tick('Winter')->press('Back', '.aside-head')->click('.pane-face');
        $page->press('Ink', '.swatches');
        $ground = fn (string $within): string => (string) $page->script(
            'const item = document.querySelector(`${arguments[0]} .pane-zone .pane-colour`)'.
                '; return item ? getComputedStyle(item).backgroundColor : ""',
            $within,
        );
        $page->until('as Quayside', fn () => $ground('.canvas-room') === 'rgb(16, 32, 48)');
        $page->until('beside it as Winter', fn () => $ground('.beside') === 'rgb(63, 124, 172)');
        $this->assertAccessible($page);

        // Somebody else has it open, and does nothing.
        $other = $this->page();
        $other->signIn('ada')->open('/designs')->see('By the house');
        $drawn = fn (): string => (string) $other->script(
            'const item = document.querySelector(".canvas-room .pane-zone .pane-colour")'.
                '; return item ? getComputedStyle(item).backgroundColor : ""',
        );
        $other->press('By the house')->until('as it is', fn () => $drawn() === 'rgb(16, 32, 48)');

        // The style changes: so does the design.
        $page->open('/stock/styles')->press('Quayside', '.styles-body nav');
        $page->until('Quayside', fn () => $called() === 'Quayside' && count($page->all('.colour-line')) === 2);
        $page->choose('Picture', 'Season pass poster')->choose('Corner', 'bottom left');
        $page->press('Add a distance')->find('[aria-label="Distance 1, px"]');
        $this->assertAccessible($page);
        $this->set($page, 0, 2, '#400020');
        $page->open('/designs')->see('By the house');
        $page->press('By the house')->until('restyled', fn () => $ground('.canvas-room') === 'rgb(64, 0, 32)');
        $page->find('.bench-stage .pane-mark img');
        $other->until('drawn anew there', fn () => $drawn() === 'rgb(64, 0, 32)', 30);
        $other->see('What this design uses has changed');
        $other->find('.bench-stage .pane-mark img');
        $this->assertAccessible($other);
    }

    public function testAStyleThatNothingUsesIsRemovedAndBroughtBack(): void
    {
        $this->expectRefusals('status of 409');
        $page = $this->page();
        $page->signIn()->open('/stock/styles')->find('.style-work');
        $called = fn (): string => (string) $page->find('.style-head input')->getAttribute('value');
        $page->press('Harrowmere', '.styles-body nav')->until('it', fn () => $called() === 'Harrowmere');
        $page->press('Remove the style')->see('A day on the lake', '[role=alert]');
        $page->type('#style-new', 'Passing')->press('Make it')->until('made', fn () => $called() === 'Passing');
        $page->press('Add a colour')->find('.colour-line');
        $page->press('Remove the style')->see('Passing', '.removed-list');
        self::assertNotSame('Passing', $called());
        $page->press('Bring back Passing')->until('as it was', fn () => $called() === 'Passing');
        self::assertCount(1, $page->all('.colour-line'));
        $page->gone('.removed-list');
    }

    /** Sets one field of a colour's line: 1 its name, 2 its #RRGGBB. */
    private function set(Page $page, int $line, int $field, string $to): void
    {
        $input = fn () => $page->all('.colour-line')[$line]->findElements(WebDriverBy::tagName('input'))[$field];
        $input()->sendKeys(Keys::CONTROL.'a'.Keys::NULL.$to.Keys::TAB);
        $page->until("$to stands there", fn () => $input()->getAttribute('value') === $to);
    }
}
