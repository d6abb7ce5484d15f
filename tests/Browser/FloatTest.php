<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/** Floats above the glazing: drawn, moved, sized, turned, aligned, copied and laid over each other. */
final class FloatTest extends BrowserCase
{
    public function testByMouse(): void
    {
        $page = $this->design('Floats by mouse');
        $this->draw($page, [-200, -100], [160, 90]);
        $this->floats($page, 1);
        $first = $this->rects($page)[0];
        self::assertEqualsWithDelta(16 / 9, $first['width'] / $first['height'], 0.05);

        // Its left edge comes to lie on the canvas' middle, and the line says so.
        $face = $page->find('.float-face');
        $sheet = $page->find('.canvas-sheet')->getCoordinates()->inViewPort();
        $half = (int) ($page->find('.canvas-sheet')->getSize()->getWidth() / 2);
        $by = $sheet->getX() + $half - (int) $first['left'] + 4;
        $actions = (new WebDriverActions($page->browser))->moveToElement($face)->clickAndHold();
        $actions->moveByOffset($by - 10, 40)->moveByOffset(10, 0)->perform();
        $page->see('960 px · centre', '.snap-guide.x');
        (new WebDriverActions($page->browser))->release()->perform();
        $this->offset($page, 0, '960px');

        $this->drag($page, '.pull.x1.y1', 60, 30);
        $page->until('wider', fn () => $this->rects($page)[0]['width'] > $first['width'] + 40);
        $this->offset($page, 0, '960px');
        $this->drag($page, '.turn-knob', 40, 160);
        $page->until('turned', fn () => $page->field('Turn')->getAttribute('value') !== '0');
        $turn = (int) $page->field('Turn')->getAttribute('value');
        self::assertSame(0, $turn % 15, 'in whole steps');
        $frame = "return getComputedStyle(document.querySelector('.float')).rotate";
        self::assertSame("{$turn}deg", $page->script($frame), 'the frame is turned as what it frames');
        $page->keys(Keys::CONTROL.'z'.Keys::NULL);
        $page->until('upright', static fn () => $page->field('Turn')->getAttribute('value') === '0');

        // Two more; all chosen by a rectangle around them, and their edges put in line.
        $this->draw($page, [-260, -140], [60, 40]);
        $this->draw($page, [-100, 60], [80, 30]);
        $this->floats($page, 3);
        $pane = $page->find('.pane-face');
        (new WebDriverActions($page->browser))
            ->moveToElement($pane, -300, -165)
            ->clickAndHold()
            ->moveByOffset(620, 340)
            ->release()
            ->perform();
        $page->until('all three are chosen', fn () => count($page->all('.float.chosen')) === 3);
        $page->press('Left', '.arrange');
        $page->until('in line', fn () => $this->spread($page, 'left') < 2);
        $page->press('Equal gaps down', '.arrange');
        $page->press('As large as', '.arrange');
        $page->until('of one size', fn () => $this->spread($page, 'width') < 2);
        $this->assertAccessible($page);

        // Shift leaves one out; Alt leaves a copy behind.
        $face = $page->all('.float-face')[0];
        $keys = new WebDriverActions($page->browser);
        $keys->keyDown(null, Keys::SHIFT)->moveToElement($face)->click()->keyUp(null, Keys::SHIFT)->perform();
        $page->until('two are left', fn () => count($page->all('.float.chosen')) === 2);
        $page->all('.layer-line .plain')[0]->click();
        $page->until('by the list', fn () => count($page->all('.float.chosen')) === 1);
        $face = $page->find('.float.chosen .float-face');
        $copy = (new WebDriverActions($page->browser))->moveToElement($face)->clickAndHold()->keyDown(null, Keys::ALT);
        $copy->moveByOffset(90, 20)->release()->keyUp(null, Keys::ALT)->perform();
        $this->floats($page, 4);
        $top = $page->all('.layer-line')[0]->getText();
        $page->click('.layer-line.current > button:last-of-type');
        $page->until('it went down', static fn () => $page->all('.layer-line')[0]->getText() !== $top);

        // An earlier revision is looked at beside what is there, restored as a new one, and that undone as any other.
        $page->press('revision', '.save-word')->click('[aria-label="Look at revision 1"]')->find('.past-drawing');
        $page->see('the zone is new', '.past');
        $this->assertAccessible($page);
        $page->press('Restore revision 1', '.past');
        $this->floats($page, 1);
        $page->see('an earlier revision restored', '.history');
        $page->click('.history');
        $page->keys(Keys::CONTROL.'z'.Keys::NULL);
        $this->floats($page, 4);
    }

    public function testByKeyboardAndByNumbers(): void
    {
        $page = $this->design('Floats by keys');
        $page->click('.pane-face');
        $page->keys('f')->find('.draw-sheet:focus');
        $page->keys(Keys::ENTER);
        $this->floats($page, 1);
        $this->offset($page, 0, '720px');
        $page->find('.float-face:focus');
        $page->keys(Keys::ARROW_RIGHT, Keys::SHIFT.Keys::ARROW_RIGHT.Keys::NULL);
        $this->offset($page, 0, '731px');

        $page->typeIn('Width', '1920/3');
        $page->until('reckoned', fn () => $page->field('Width')->getAttribute('value') === '640px');
        $this->expectRefusals('422');
        $page->typeIn('Height', '1/0')->see('divides by 0', '.invalid');
        $page->until('nothing typed is lost', static fn () => $page->field('Height')->getAttribute('value') === '1/0');
        $page->typeIn('Height', '25% - 8px');
        $page->until('of the canvas', fn () => $page->field('Height')->getAttribute('value') === '262px');
        $page->typeIn('Right by', '-5%');
        $page->press('bottom right corner', '.anchor-points');
        $page->until('it stays', static fn () => $page->field('Right by')->getAttribute('value') === '-1376px');
        $page->choose('Held to', 'pane A');
        $page->see('of pane A', '.anchor-row');

        // Copied as text, and pasted into another scene.
        $page->click('.float-face')->keys(Keys::CONTROL.'d'.Keys::NULL);
        $this->floats($page, 2);
        $page->find('.float.chosen .float-face')->sendKeys('[');
        $page->keys(Keys::CONTROL.'c'.Keys::NULL);
        $page->press('Add a scene')->press('Make scene');
        $page->until('an empty scene', static fn () => $page->all('.float') === []);
        $page->click('.pane-face')->keys(Keys::CONTROL.'v'.Keys::NULL);
        $this->floats($page, 1);
        $page->find('.float-face')->sendKeys(Keys::DELETE);
        $page->until('gone', fn () => $page->all('.float') === []);
        $page->keys(Keys::CONTROL.'z'.Keys::NULL);
        $this->floats($page, 1);
        $page->click('.pane-face')->keys('t')->find('.draw-sheet:focus');
        $page->keys(Keys::ENTER)->find('#bench-panel textarea:focus');
        $page->keys('Mind the step', Keys::TAB);
        $page->see('step', '.bench-stage');
        $this->assertAccessible($page);
    }

    public function testFloatsAreSeenThroughLockedHiddenAndGrouped(): void
    {
        $page = $this->design('Floats and their traits');
        $page->press('Stock', 'aside')->press('As a float: Harbour at dusk.png', 'aside');
        $this->floats($page, 1);
        $card = $page->see('Totem view.jpg', '.carriable');
        $shift = new WebDriverActions($page->browser);
        $shift->moveToElement($card)->clickAndHold()->moveByOffset(-8, 8)->keyDown(null, Keys::SHIFT);
        $shift->moveToElement($page->find('.pane-face'), -200, -80)->moveByOffset(2, 2)->release();
        $shift->keyUp(null, Keys::SHIFT)->perform();
        $this->floats($page, 2);
        $page->press('Particulars', 'aside')->typeIn('Opacity', '40');
        $page->until('seen through', static fn () => $page->script(
            'return [...document.querySelectorAll(".bench-stage .pane-zone")].some((zone) => zone.style.opacity === "0.4")',
        ));

        $page->press('Lock B', '.layers')->find('.layer-line [aria-label="Lock B"][aria-pressed="true"]');
        $before = $this->rects($page)[0];
        $this->drag($page, '[data-float]:first-of-type .float-face', 60, 20);
        $page->press('Hide C', '.layers');
        $this->floats($page, 1);
        self::assertSame($before, $this->rects($page)[0], 'locked, it stays');
        $this->assertAccessible($page);

        // By keys: shown again, both chosen by the list and grouped, moved as one.
        $page->tabTo('Hide C')->keys(Keys::ENTER);
        $this->floats($page, 2);
        $page->tabTo('Lock B')->keys(Keys::ENTER)->find('.layer-line [aria-label="Lock B"][aria-pressed="false"]');
        $faces = $page->all('.float-face');
        $faces[0]->click();
        $more = (new WebDriverActions($page->browser))->keyDown(null, Keys::SHIFT)->moveToElement($faces[1])->click();
        $more->keyUp(null, Keys::SHIFT)->perform();
        $page->until('both', static fn () => count($page->all('.float.chosen')) === 2);
        $page->press('Group', '.arrange')->see('Ungroup', '.arrange');
        (new WebDriverActions($page->browser))->moveToElement($page->find('.pane-face'), -340, 180)->click()->perform();
        $page->until('none', static fn () => $page->all('.float.chosen') === []);
        $page->all('.float-face')[0]->click();
        $page->until('one brings the other', static fn () => count($page->all('.float.chosen')) === 2);
        $old = $this->rects($page);
        $page->keys(Keys::SHIFT.Keys::ARROW_DOWN.Keys::NULL);
        $tops = static fn (array $rects): array => array_column($rects, 'top');
        $page->until('both moved', fn () => min(array_map(
            static fn ($now, $then) => $now - $then,
            $tops($this->rects($page)),
            $tops($old),
        )) > 0);
        $page->press('Ungroup', '.arrange')->see('Group', '.arrange');
    }

    private function design(string $name): Page
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="booking"]')->see('Booking office', 'aside h2');
        $page->typeIn('Name of the new design', $name, Keys::ENTER)->see($name, '.bench-bar h1');
        $page->find('.pane-face');

        return $page;
    }

    /**
     * @param array{int, int} $from from the middle of the canvas, in screen px
     * @param array{int, int} $by
     */
    private function draw(Page $page, array $from, array $by): void
    {
        $page->press('Float F', '.bench-bar');
        (new WebDriverActions($page->browser))
            ->moveToElement($page->find('.draw-sheet'), ...$from)
            ->clickAndHold()
            ->moveByOffset(...$by)
            ->release()
            ->perform();
        $page->gone('.draw-sheet');
    }

    private function drag(Page $page, string $css, int $x, int $y): void
    {
        (new WebDriverActions($page->browser))
            ->moveToElement($page->find($css))
            ->clickAndHold()
            ->moveByOffset($x, $y)
            ->release()
            ->perform();
    }

    private function floats(Page $page, int $count): void
    {
        $page->until("$count floats", static fn () => count($page->all('.float')) === $count);
    }

    private function offset(Page $page, int $axis, string $value): void
    {
        $label = $axis === 0 ? 'Right by' : 'Down by';
        $page->until("$label $value", static fn () => $page->field($label)->getAttribute('value') === $value);
    }

    /** @return list<array<string, float>> where the floats lie on the screen */
    private function rects(Page $page): array
    {
        return $page->script(
            'return [...document.querySelectorAll(".float-face")].map((one) => one.getBoundingClientRect().toJSON())',
        );
    }

    private function spread(Page $page, string $what): float
    {
        $values = array_column($this->rects($page), $what);

        return max($values) - min($values);
    }
}
