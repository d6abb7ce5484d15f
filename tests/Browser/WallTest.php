<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys;
use UpperPane\Tests\Support\Page;

/** The bench on a wall, and one design on surfaces of other shapes. */
final class WallTest extends BrowserCase
{
    public function testPanesSpanPanelsAndWhatStandsOnASeamIsFound(): void
    {
        $page = $this->design('hall', 'On six panels');
        $page->see('On panels A, B, C, D, E, F', '.wall-span');
        $this->assertAccessible($page);
        $page->click('.wall-panel[aria-label="panel B"]')->see('1920 × 1080 px', 'aside .measure');
        $page->see('On panel B', '.wall-span');
        $page->press('Set to the column B, E')->see('1920 × 2166 px', 'aside .measure');
        $page->press('Set to the row A, B, C')->see('5772 × 1080 px', 'aside .measure');
        $page->click('.wall-panel[aria-label="panel A"]')->see('On panel A', '.wall-span');
        (new WebDriverActions($page->browser))
            ->keyDown(null, WebDriverKeys::SHIFT)
            ->click($page->find('.wall-panel[aria-label="panel E"]'))
            ->keyUp(null, WebDriverKeys::SHIFT)
            ->perform();
        $page->see('3846 × 2166 px', 'aside .measure');
        $page->press('Undo')->see('On panel A', '.wall-span');
        $page->press('Redo')->see('On panels A, B, D, E', '.wall-span');

        // Letters across the seam, then beside it.
        $page
            ->choose('Fill', 'text')
            ->typeIn('Text', 'Boats leave from the outer pontoon today and tomorrow', '')
            ->typeIn('Size', '260');
        $page->see('letters stand on a seam between the panels A, B, D, E', 'aside .findings');
        $page->click('.wall-panel[aria-label="panel D"]')->see('On panel D', '.wall-span');
        $page->until('nothing stands on a seam', fn () => !str_contains($page->find('aside')->getText(), 'on a seam'));

        // Split beside a seam: the line snaps to it.
        $this->assertMullionSnapsTo($page, 1926);

        $page->click('.bench-surface')->press('panel D', 'aside')->see('as it hangs', 'aside');
        $page->until(
            'the panel alone shows its text',
            fn () => $page->script(
                'return [...document.querySelectorAll(".panel-figure .pane-text")].some((e) => e.innerText.includes("pontoon"))',
            ),
        );
        $this->assertAccessible($page);
    }

    public function testAFaceIsMarkedAndFoundOnASeam(): void
    {
        $page = $this->design('lookout', 'Faces');
        $page->press('Stock', '.tabs')->press('Put into A: Lake at dawn.jpg')->see('Lake at dawn.jpg', '.media-facts');
        $page->find('input[value="stretch"]')->click();
        $page->click('.face-marks summary')->find('.face-picture img');
        $picture = $page->find('.face-picture');
        $width = $picture->getSize()->getWidth();
        (new WebDriverActions($page->browser))
            ->moveToElement($picture, -intdiv($width, 10), -10)
            ->clickAndHold()
            ->moveByOffset(intdiv($width, 10), 10)
            ->moveByOffset(intdiv($width, 10), 10)
            ->release()
            ->perform();
        $page->see('a marked face lies on a seam between the panels A, B', 'aside .findings');
        $this->assertAccessible($page);
        $this->typeBeside($page, 'Face 1, X %', '5');
        $page->until(
            'the face is beside the seam',
            fn () => !str_contains($page->find('aside')->getText(), 'a marked face lies on a seam'),
        );
        $page->click('[aria-label="Remove face 1"]')->see('Mark faces', 'aside');
    }

    /**
     * From landscape to portrait: beside the bench as it reflows, then with a layout of its own, to the release's plan.
     */
    public function testOneDesignOnSurfacesOfOtherShapes(): void
    {
        $page = $this->design('booking', 'Both ways');
        $page->click('.pane-face')->keys('|');
        $page->until('two panes', fn () => count($page->all('.pane')) === 2);
        $page
            ->click('.pane:nth-child(1) .pane-face')
            ->typeIn('Width', '1320', WebDriverKeys::ENTER)
            ->see('1320 × 1080 px', 'aside');
        $page->click('.bench-surface')->tick('all of Gates');
        $page->see('Gate 1 totem', '.beside');
        $page->see('Gate 2 totem', '.beside');
        $page->click('[data-beside="gate-1"] summary')->see('743 × 1920 px', '[data-beside="gate-1"] .sizes');
        $page
            ->tick('Café menu board')
            ->click('[data-beside="cafe"] summary')
            ->see('2640 × 2160 px', '[data-beside="cafe"] .sizes');
        $page->choose('Sizes there', 'same_px')->see('1320 × 2160 px', '[data-beside="cafe"] .sizes');
        $page->press('Undo')->see('2640 × 2160 px', '[data-beside="cafe"] .sizes');
        $page
            ->press('Add portrait layout')
            ->press('Columns become rows', '.modal')
            ->see('1080 × 1920 px', '.title-block');
        $page->gone('.modal');
        $page->see('1080 × 1320 px', '[data-beside="gate-1"] .sizes');

        // A zone made here is missed in the other layout, and placed there.
        $page->click('.pane:nth-child(2) .pane-face')->keys('-');
        $page->until('three panes', fn () => count($page->all('.pane')) === 3);
        $page->press('Rest, landscape layout')->see('C has no pane in the landscape layout', '.missing-zone');
        $this->assertAccessible($page);
        $page->click('.pane:nth-child(2) .pane-face')->press('Place below B')->gone('.missing-zone');
        self::assertCount(3, $page->all('.pane'));
        $page->browser->navigate()->refresh();
        $page->see('1920 × 1080 px', '.title-block');
        $page->click('[data-beside="gate-2"] summary')->see('1080 × 1320 px', '[data-beside="gate-2"] .sizes');
        $page->press('Rest, portrait layout')->press('Remove layout')->find('.frieze .wanted');
        self::assertCount(3, $page->all('.pane'), 'the own layout keeps its zones');
    }

    private function design(string $surface, string $name): Page
    {
        $page = $this->page();
        $page
            ->signIn()
            ->click("[data-surface=\"$surface\"]")
            ->typeIn('Name of the new design', $name, '')
            ->press('Make design')
            ->see($name, '.bench-bar h1');
        $page->find('.pane');

        return $page;
    }

    private function typeBeside(Page $page, string $label, string $text): void
    {
        $page->type("[aria-label=\"$label\"]", $text, WebDriverKeys::TAB);
    }

    private function assertMullionSnapsTo(Page $page, int $px): void
    {
        $page->click('.pane:nth-child(1) .pane-face')->keys('|');
        $line = '.mullion.x';
        $page->find($line);
        $at = fn () => (int) $page->find($line)->getAttribute('aria-valuenow');
        $scale = $page->script('return document.querySelector(".canvas-sheet").getBoundingClientRect().width') / 5772;
        (new WebDriverActions($page->browser))
            ->clickAndHold($page->find($line))
            ->moveByOffset((int) round(($px - $at()) * $scale) + 4, 0)
            ->moveByOffset(1, 0)
            ->release()
            ->perform();
        $page->until("the line snaps to the seam at $px", fn () => in_array($at(), [$px, $px - 6], true));
    }
}
