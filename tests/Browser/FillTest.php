<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/** What a zone can show beside pictures, video and plain text, set by mouse and by keys. */
final class FillTest extends BrowserCase
{
    /** Four pictures, six seconds each, in five steps: the time is asked for next. */
    public function testSeveralArePutIntoAPaneInTurn(): void
    {
        $page = $this->begun('Four in turn', 1);
        $page->press('Stock', '.tabs')->type('#shelf-search', 'l')->find('.carriable .pick');
        $pick = array_values($page->all('.carriable .pick'));
        $pick[0]->click();
        $page->key('keyDown', Keys::SHIFT);
        $pick[3]->click();
        $page->key('keyUp', Keys::SHIFT);
        $this->assertAccessible($page);
        $page->press('Put all', '.put-all')->find('.playlist .entry');
        $page->until('its time has the focus', fn () => $page->script(
            'return document.activeElement.matches(".playlist input") && !document.querySelector(".focus-holder")',
        ));
        $page->keys(Keys::CONTROL.'a'.Keys::NULL, '6', Keys::ENTER);

        $page->until('six seconds each', fn () => preg_match_all('/\b6\.0 s/', implode(' ', array_map(
            static fn ($entry) => $entry->getText(),
            $page->all('.playlist .entry-face'),
        ))) >= 3);
    }

    public function testATextIsStyledItsLookIsCopiedAndItRuns(): void
    {
        $page = $this->begun('Styled', 2);
        $this->words($page, 0, 'Mind the gap');
        $line = fn (int $zone, string $property): string => (string) $page->script(
            'const box = document.querySelectorAll(".pane-text")[arguments[0]];'.
                'return getComputedStyle(box.lastElementChild)[arguments[1]]',
            $zone,
            $property,
        );
        $page->typeIn('Letter spacing', '100')->tick('Outline')->tick('Shadow');
        $page->until(
            'drawn',
            fn () => $line(0, 'textShadow') !== 'none' && $line(0, 'webkitTextStrokeWidth') !== '0px',
        );
        self::assertSame((float) $line(0, 'fontSize') / 10, (float) $line(0, 'letterSpacing'), 'a tenth of the size');
        $page->tick('Plate behind the text');
        $page->until('a plate', fn () => count($page->all('.pane-text > div')) === 2);
        $this->assertAccessible($page);
        $page->press('Copy this look', 'aside');

        $this->words($page, 1, 'Next sailing 12:45');
        $page->press('Use the copied look', 'aside');
        $page->until('two plates', fn () => count($page->all('.pane-text > div')) === 4);
        self::assertSame($line(0, 'letterSpacing'), $line(1, 'letterSpacing'));

        $page->choose('Words appear', 'as if typed');
        $comes = static fn (string $is): bool => (bool) $page->script(
            "return document.querySelectorAll('.pane-text')[1].lastElementChild.style.clipPath $is ''",
        );
        self::assertTrue($comes('==='), 'as long as nothing runs, all is there');
        $page->press('Play')->until('it is typed', static fn () => $comes('!=='));
        $page->until('it is there', static fn () => $comes('==='));
        $page->press('Pause');
        $page->tick('Runs through the zone')->see('Once through in', 'aside');
        $where = fn (): string => (string) $page->script('return document.querySelector(".pane-moving").style.transform');
        $page->press('Play');
        $page->until('it moves', static function () use ($where) {
            static $first = null;

            return ($first ??= $where()) !== $where();
        });
        $page->press('Pause');

        $page->type('[aria-label="Ink #"]', '#555555', Keys::ENTER);
        $page->see('a contrast of', 'aside');
        $this->assertAccessible($page);
    }

    /** Letters that join are estimated by the core, measured by the browser once, and judged by that. */
    public function testWordsSizeColourAndPlaceOfATextNeedNoScrolling(): void
    {
        $page = $this->begun('All in view', 2);
        $page->script('Object.keys(localStorage).filter((key) => key.startsWith("bench:")).forEach((key) => localStorage.removeItem(key))');
        $page->browser->navigate()->refresh();
        $page->click('[data-pane]');
        $this->become($page, 0, 'text');
        $page->keys('Mind the gap')->see('Mind the gap', '.pane-text');
        $page->press('Place', 'aside');

        foreach (['Width', 'Height', 'Text', 'Size', 'Ink'] as $label) {
            self::assertTrue($page->script(
                'const box = arguments[0].getBoundingClientRect(); return box.top > 0 && box.bottom <= innerHeight',
                $page->field($label),
            ), "$label is in view, and nothing was scrolled");
        }
        self::assertSame(0, $page->script('return document.querySelector("aside").scrollTop'));
    }

    public function testJoiningLettersAreMeasuredByTheBrowser(): void
    {
        $page = $this->begun('Arabic', 1);
        $this->words($page, 0, 'Ness');
        $page->choose('Face', 'Amiri')->typeIn('Text', 'السفينة التالية إلى الجزيرة');
        $page->until('measured', fn () => (int) $page->script(
            'return performance.getEntriesByType("resource").filter((one) => one.name.endsWith("/measures")).length',
        ) > 0);
        $words = fn (): string => $page->find('#bench-panel')->getText();
        $page->until('no estimate any more', static fn () => !str_contains($words(), 'estimate'));
        $widths = (array) $page->script(
            'const line = document.querySelector(".pane-text").lastElementChild; const range = document.createRange(); '.
                'range.selectNodeContents(line); const scale = line.getBoundingClientRect().width / line.offsetWidth; '.
                'return [range.getBoundingClientRect().width / scale, line.offsetWidth]',
        );
        self::assertEqualsWithDelta($widths[0], $widths[1], 0.01 * $widths[0], 'as wide as it is drawn');
    }

    /** Words are chosen by keys, made bold and coloured; what is typed before them moves them along. */
    public function testSomeWordsAreBoldAndColoured(): void
    {
        $page = $this->begun('Words', 1);
        $this->words($page, 0, 'gap ahead');
        $page->find('aside textarea')->click();
        $page->keys(Keys::CONTROL.Keys::HOME.Keys::NULL.Keys::SHIFT.str_repeat(Keys::ARROW_RIGHT, 3).Keys::NULL);
        $page->see('Of “gap”', 'aside');
        $page->press('Bold', 'aside');
        $part = static fn (): array => (array) $page->script(<<<'JS'
            const part = [...document.querySelectorAll('.pane-text span')].find((one) => one.style.fontWeight)
            return [part?.textContent, part?.style.fontWeight, part?.style.color]
            JS);
        $page->until('bold', static fn () => $part() === ['gap', '700', '']);
        $page->type('[aria-label="Their colour #"]', '#FFD27A', Keys::ENTER);
        $page->until('coloured', static fn () => $part() === ['gap', '700', 'rgb(255, 210, 122)']);
        $page->find('aside textarea')->click();
        $page->keys(Keys::CONTROL.Keys::HOME.Keys::NULL.'Mind the ');
        $page->until('moved along', static fn () => str_contains(
            (string) $page->script('return document.querySelector(".pane-text").textContent'),
            'Mind the gap ahead',
        ) && $part()[0] === 'gap');
        $page->typeIn('Text', 'gap <img src=x onerror="document.title=1">')->see('gap <img', '.pane-text');
        self::assertSame([], $page->all('.pane-text img'), 'it is written, not obeyed');
        $page->tick('Gradient in the letters')->until('shaded', static fn () => $page->script(
            'return [...document.querySelectorAll(".pane-text div div")].some((one) => one.style.backgroundImage.includes("gradient"))',
        ) === true);
        $this->assertAccessible($page);
    }

    public function testACodeADialACountAndAShapeAreMadeByKeysAlone(): void
    {
        $page = $this->begun('Figures', 4);
        $this->expectRefusals('status of 422');
        $this->become($page, 0, 'QR code');
        $page->see('says nothing yet', 'aside');
        $page->tabTo('Address')->keys('harrowmere.example', Keys::TAB)->see('Begin it with https://');
        $page->field('Address')->clear();
        $page->field('Address')->sendKeys('https://harrowmere.example/tides'.Keys::TAB);
        $page->see('29 × 29 modules', 'aside');
        $page->find('.pane-qr path');
        $page->type('[aria-label="Modules #"]', '#EEEEEE', Keys::ENTER)->see('Choose a darker colour');
        $page->choose('To be scanned', 'a wireless network');
        $page->typeIn('Network', 'Harrowmere Guests')->see('modules of', 'aside');
        $this->assertAccessible($page);

        $this->become($page, 1, 'analogue clock');
        $page->find('.pane-dial [data-hand="seconds"]');
        $page->tick('With a second hand');
        $page->until('none', fn () => $page->all('.pane-dial [data-hand="seconds"]') === []);
        $this->assertAccessible($page);

        $this->become($page, 2, 'count-down');
        $page->typeIn('Pattern', "H 'hours' mm")->see('hours', '.pane-count');
        $page->typeIn('Pattern', 'W')->see('is no field of a count');
        $this->assertAccessible($page);

        $this->become($page, 3, 'shape');
        $page->choose('Shape', 'ribbon')->tick('Gradient')->tick('Line around it');
        $page->until('drawn', fn () => $page->script('return !!document.querySelector(".pane-shape linearGradient")'));
        $this->assertAccessible($page);
        $page->tick('Words in it')->typeIn('Text', 'New')->see('New', '.pane-shape');
        $this->assertAccessible($page);
        $page->press('Undo', '.bench-bar')->press('Undo', '.bench-bar');
        $page->until('no words', fn () => $page->script(
            'return document.querySelector(".pane-shape").textContent',
        ) === '');
        $page->keys(Keys::CONTROL.'z'.Keys::NULL)->until('undone', fn () => $page->script(
            'return getComputedStyle(document.querySelector(".pane-shape path")).stroke',
        ) === 'none');
    }

    /** Of a playlist beside it: as it plays, the upright bar grows, and begins anew with each entry. */
    public function testAProgressFillsAsAPlaylistPlays(): void
    {
        $page = $this->begun('Progress', 2);
        $this->become($page, 0, 'playlist');
        $page->press('Add colour', 'aside')->press('Add text', 'aside')->see('One pass', 'aside');
        $this->become($page, 1, 'progress');
        $page->see('never fills', 'aside');
        $page->choose('How far has come', 'the playlist of A');
        $page->until('mended', fn () => !str_contains($page->find('#bench-panel')->getText(), 'never fills'));
        $share = static fn (): float => (float) $page->script(
            'return new DOMMatrix(getComputedStyle(document.querySelector("[data-share]")).transform).d',
        );
        $page->press('Play')->until('it grows', static fn () => $share() > 0.05 && $share() < 1);
        $page->press('Pause')->choose('Drawn as', 'ring');
        $page->until('a ring', fn () => $page->all('.pane-progress circle[stroke-dasharray]') !== []);
        $this->assertAccessible($page);
    }

    public function testAChartIsTypedAndKeepsWhatIsRefused(): void
    {
        $page = $this->begun('Chart', 1);
        $this->expectRefusals('status of 422');
        $page->press('chart', '.empty-help')->see('has no rows yet', 'aside');
        foreach ([['Mon', '412'], ['Tue', '388']] as $index => [$label, $value]) {
            $row = $index + 1;
            $page->press('Add a row')->type("[aria-label=\"Label of row $row\"]", $label, Keys::TAB);
            $page->type("[aria-label=\"Value of row $row\"]", $value, Keys::TAB);
            $page->until('drawn', fn () => count($page->all('.pane-chart path')) === $row);
        }
        $page->choose('Drawn as', 'last row with its change');
        $page->until('its change', fn () => str_contains((string) $page->script(
            'return document.querySelector(".pane-chart").textContent',
        ), '−5.8 %'));
        $page->type('[aria-label="Value of row 2"]', 'many', Keys::TAB)->see('“many” is no number');
        self::assertSame('many', $page->find('[aria-label="Value of row 2"]')->getAttribute('value'), 'stays as typed');
        $this->assertAccessible($page);
        $page->choose('Drawn as', 'bars')->press('Undo', '.bench-bar');
        $page->until('as before', fn () => count($page->all('.pane-chart path')) === 1);
    }

    /** With the zone's ratio first, by its corner and by px; what lies beside the part is never seen. */
    public function testAPictureIsCroppedAndBlursBehindItself(): void
    {
        $page = $this->begun('Cropped', 1);
        $page->press('Stock', '.tabs')->type('#shelf-search', 'Lake at dawn')->press('Put into A');
        $page->press('Particulars', '.tabs')->tick('Crop: show a part of it')->find('.crop-frame');
        $crop = static fn (): string => $page->find('[aria-label="Crop, Width px"]')->getAttribute('value').
            ' × '.$page->find('[aria-label="Crop, Height px"]')->getAttribute('value');
        $whole = $crop();
        $page->drag('[data-corner="1,1"]', -60, -30);
        $page->until('smaller', static fn () => $crop() !== $whole);
        [$width, $height] = array_map(intval(...), explode(' × ', $crop()));
        self::assertEqualsWithDelta(16 / 9, $width / $height, 0.01, 'the zone’s ratio is kept');
        $page->choose('Ratio kept', 'free')->type('[aria-label="Crop, Width px"]', '-50', Keys::TAB);
        $this->expectRefusals('status of 422');
        // In px, as they are typed, although parts per million of the picture are kept.
        $wrong = fn (): string => $page->find('.crop-fields .refusal')->getText();
        $page->until('in px', static fn () => preg_match('/From 1 to \d{3,4} px/', $wrong()) === 1);
        $page->type('[aria-label="Crop, Height px"]', '300', Keys::TAB);
        $page->click('input[value="contain"]');
        $inside = static fn (): bool => (bool) $page->script(<<<'JS'
            const box = document.querySelector('.pane-picture').getBoundingClientRect()
            const window = document.querySelector('.pane-picture > div')?.getBoundingClientRect()
            return !!window && window.top > box.top + 5 && window.bottom < box.bottom - 5
            JS);
        $page->until('bars above and below', $inside);
        $page->see(' of 3960 × 2640 px', '#bench-panel');
        $page->tick('Behind the bars, itself, blurred')->until('blurred', static fn () => $page->script(
            'return document.querySelector(".pane-picture > img")?.style.filter.startsWith("blur")',
        ) === true);
        $this->assertAccessible($page);
        $page->press('Undo', '.bench-bar')->until('undone', fn () => $page->all('.pane-picture > img') === []);
        $page->choose('Seen in', 'burst')->tick('Line around it');
        $page->until('clipped', fn () => str_starts_with((string) $page->script(
            'return document.querySelector(".pane-zone").style.clipPath',
        ), 'path(') && $page->all('.pane-zone > svg path') !== []);
        $this->assertAccessible($page);
    }

    /** Art with openings lies over what is laid under them: each of the px that the core found. */
    public function testZonesAreLaidUnderTheOpeningsOfArt(): void
    {
        $page = $this->begun('Portholes', 1);
        $page->press('Stock', '.tabs')->find('.carriable');
        $page->type('#shelf-search', 'Porthole')->press('Put into A');
        $page->press('Lay it over, zones under 2 openings', 'aside');
        $page->until('three floats', fn () => count($page->all('.float')) === 3);
        $order = $page->script(
            'return [...document.querySelectorAll(".pane-float")].map((e) => [+e.style.zIndex, e.querySelector("img") !== null])',
        );
        usort($order, static fn (array $one, array $other) => $one[0] <=> $other[0]);
        self::assertSame([false, false, true], array_column($order, 1), 'the art is in front');
        self::assertSame('rgba(0, 0, 0, 0)', $page->script(
            'return getComputedStyle(document.querySelector(".pane-float .pane-picture")).backgroundColor',
        ), 'the art is seen through');
        $page->type('#shelf-search', 'Lake at dawn')->press('Put into C');
        $page->press('Particulars', '.tabs')->find('input[value="cover"]:checked');
        $page->see('706 × 706 px', '#bench-panel .measure');
        $this->assertAccessible($page);
    }

    /** Files dropped onto a pane go to the Stock and into it; what is put over a picture is shown in turn with it. */
    public function testFilesAreDroppedOntoAPaneAndShownInTurn(): void
    {
        $page = $this->begun('Dropped', 1);
        $page->script(
            <<<'JS'
            const canvas = Object.assign(document.createElement('canvas'), { width: 64, height: 36 })
            const paint = canvas.getContext('2d')
            const [red, green] = [Math.random() * 255, Math.random() * 255]
            paint.fillStyle = `rgb(${red}, ${green}, 90)`
            paint.fillRect(0, 0, 64, 36)
            canvas.toBlob((blob) => {
              const data = new DataTransfer()
              data.items.add(new File([blob], 'dropped.png', { type: 'image/png' }))
              document.querySelector('.pane-face').dispatchEvent(new DragEvent('drop', { bubbles: true, cancelable: true, dataTransfer: data }))
            })
            JS,
        );
        $page->until('shown', fn () => $page->all('.pane-picture img') !== []);
        $page->press('Stock', '.tabs')->see('dropped.png', 'aside');
        $page->type('#shelf-search', 'Hall view')->press('Put into A');
        $page->find('.put-over');
        $this->assertAccessible($page);
        $page->press('Show both in turn', '.put-over')->gone('.put-over');
        $page->press('Particulars', '.tabs')->see('dropped.png', 'aside');
        $page->see('Hall view.jpg', 'aside');
        $page->keys(Keys::CONTROL.'z'.Keys::NULL)->until('one step', fn () => str_contains(
            $page->find('#bench-panel')->getText(),
            'Hall view.jpg',
        ) && !str_contains($page->find('#bench-panel')->getText(), 'dropped.png'));
    }

    /** By a double click on nothing, and by F2; what is typed is kept when it is left. */
    public function testWordsAreWrittenWhereTheyStand(): void
    {
        $page = $this->begun('Written', 1);
        (new WebDriverActions($page->browser))->doubleClick($page->find('.pane-face'))->perform();
        $page->find('.text-in-place-area');
        $page->keys('Mind the gap')->see('Mind the gap', '.pane-text');
        $this->assertAccessible($page);
        $page->keys(Keys::ESCAPE)->gone('.text-in-place-area');
        self::assertSame('pane-face', $page->script('return document.activeElement.className'));
        $page->keys(Keys::F2)->find('.text-in-place-area');
        $page->keys(Keys::END, ', please', Keys::ESCAPE)->see('Mind the gap, please', '.pane-text');
        self::assertSame('Mind the gap, please', $page->field('Text')->getAttribute('value'));
        $page->keys(Keys::CONTROL.'z'.Keys::NULL)->until('undone', fn () => !str_contains(
            $page->find('.pane-text')->getText(),
            'please',
        ));
    }

    private function begun(string $name, int $panes): Page
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="booking"]')->typeIn('Name of the new design', $name, Keys::ENTER);
        $page->see($name, '.title-block');
        if ($panes === 1) {
            return $page->click('.pane-face');
        }
        $page->click('.pane-face')->typeIn('Divide into', (string) $panes, '')->press('into columns', '.divide');
        $page->until("$panes panes", fn () => count($page->all('.pane')) === $panes);

        return $page;
    }

    private function become(Page $page, int $pane, string $kind): void
    {
        $page->all('.pane-face')[$pane]->sendKeys(Keys::ENTER);
        $page->until('chosen', fn () => $page->all('.pane')[$pane]->getAttribute('class') !== 'pane'
            && $page->all('#bench-panel .empty-help') !== []);
        $page->tabTo($kind)->keys(Keys::ENTER);
        $page->gone('#bench-panel .empty-help');
    }

    private function words(Page $page, int $pane, string $words): void
    {
        $this->become($page, $pane, 'text');
        $page->typeIn('Text', $words)->see($words, '.pane-text:nth-of-type(1), .pane-zone');
    }
}
