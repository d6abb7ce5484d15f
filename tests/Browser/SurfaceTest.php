<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use UpperPane\Tests\Support\Files;
use UpperPane\Tests\Support\Page;

/** Surfaces from nothing: each of the four ways, what is refused, what is asked, how a wall is wired and proved. */
final class SurfaceTest extends BrowserCase
{
    public function testAStandardModeHungPortraitAndNumbersOfAnOddSign(): void
    {
        $this->expectRefusals('status of 409', 'status of 422');
        $page = $this->page();
        $page->signIn('theo')->press('New surface')->see('New surface', 'h1');
        $page
            ->typeIn('Name', 'Pier totem')
            ->choose('Mode', '1920 × 1080 px, VESA')
            ->typeIn('Diagonal', '54.61')
            ->choose('It hangs', 'portrait');
        $page->see('1080 × 1920 px', '.new-facts');
        $page->choose('It hangs', 'landscape')->see('1920 × 1080 px', '.new-facts');
        $page->typeIn('Diagonal', WebDriverKeys::BACKSPACE)->gone('.figures .computed');
        $page->choose('It hangs', 'portrait')->typeIn('Diagonal', '54.61')->see('1080 × 1920 px', '.new-facts');
        self::assertSame(
            '90',
            $page->field('Turned')->getAttribute('value'),
            'a landscape panel that hangs portrait is mounted turned',
        );
        $this->assertAccessible($page);
        $page->press('Make surface')->see('Pier totem', 'aside h2');
        $page->see('portrait, mounted turned by 90°', 'aside');

        $page
            ->press('New surface')
            ->press('Numbers')
            ->typeIn('Name', 'Odd sign')
            ->typeIn('Width', '250')
            ->typeIn('Height', '140');
        foreach (
            [
                '0' => 'outside 1 to 100000',
                '-5' => 'outside 1 to 100000',
                '100001' => 'outside 1 to 100000',
                'NaN' => 'whole number',
            ] as $typed => $why
        ) {
            $page->typeIn('Width', (string) $typed)->see($why, '.figures [role=alert]');
            self::assertSame((string) $typed, $page->field('Width')->getAttribute('value'), 'what was typed stays');
        }
        $page->typeIn('Width', '250')->typeIn('Pixel pitch', '4')->see('1000 × 560 mm', '.computed');
        $page
            ->typeIn('Picture width', '1100')
            ->typeIn('Picture height', '560')
            ->see('100 mm apart', '.figures [role=alert]');
        self::assertCount(1, $page->all('[role=alert]'), 'a refusal stands once, beside its field');
        $page->press('Wall');
        self::assertSame('1100', $page->field('Picture width')->getAttribute('value'), 'and from way to way');
        $page
            ->press('Numbers')
            ->typeIn('Picture width', WebDriverKeys::BACKSPACE)
            ->typeIn('Picture height', WebDriverKeys::BACKSPACE)
            ->choose('Kind', 'LED')
            ->choose('It hangs', 'portrait')
            ->choose('Turned', '0');
        $page->press('Make surface')->see('portrait', '.questions');
        $page->choose('It hangs', 'landscape')->press('Make surface')->see('Odd sign', 'aside h2');
        $page->see('250 × 140 px', 'aside');
    }

    public function testADisplaysEdidFile(): void
    {
        $this->expectRefusals('status of 422', 'status of 413');
        $good = (string) file_get_contents(\dirname(__DIR__).'/cases/edid/handmade.edid');
        $page = $this->page();
        $page->signIn('theo')->press('New surface')->press('EDID file')->typeIn('Name', 'From its plug');
        $files = [
            ['flipped.edid', substr_replace($good, "\x00", 60, 1), 'checksum'],
            ['cut.edid', substr($good, 0, 100), '128'],
            ['words.txt', 'This is no EDID at all.', 'no EDID'],
            ['huge.edid', str_repeat("\0", 20 * 1024 * 1024), 'larger'],
        ];
        foreach ($files as [$name, $bytes, $why]) {
            $page
                ->find('#way-panel')
                ->findElement(WebDriverBy::cssSelector('input[type=file]'))
                ->sendKeys(Files::bytes($name, $bytes));
            $page->until(
                "$name is refused with “{$why}”",
                fn () => str_contains($page->find('#way-panel [role=alert]')->getText(), $why),
            );
        }
        self::assertSame('From its plug', $page->field('Name')->getAttribute('value'));
        $page
            ->find('#way-panel')
            ->findElement(WebDriverBy::cssSelector('input[type=file]'))
            ->sendKeys(Files::bytes('good.edid', $good));
        $page->see('1920 × 1080 px', '#way-panel .particulars');
        $page->see('1209 × 680 mm', '.computed');
        $this->assertAccessible($page);
        $page->press('Make surface')->see('From its plug', 'aside h2');
    }

    /** From columns and rows to six cards that say which panel they are; the panels are wired from right to left. */
    public function testAWallIsMadeWiredByClickingAndProvedByItsCards(): void
    {
        $page = $this->page();
        $page
            ->signIn('theo')
            ->press('New surface')
            ->press('Wall')
            ->typeIn('Name', 'Foyer wall')
            ->typeIn('Columns', '3')
            ->typeIn('Rows', '2');
        $page->typeIn('Width', '1920')->typeIn('Height', '1080')->typeIn('Pixel pitch', '0.63');
        foreach (['Left', 'Top', 'Right', 'Bottom'] as $side) {
            $page->typeIn($side, '1.89');
        }
        $page->see('5772 × 2166 px', '.new-facts');
        $this->assertAccessible($page);
        $page->press('Make surface')->see('Foyer wall', 'aside h2')->getText();
        $page->press('Output map')->see('Outputs of Foyer wall', 'h1');
        $page->press('Wire by clicking')->see('Click the panels in the order they are wired.');
        foreach ([3, 2, 1, 6, 5, 4] as $panel) {
            $page->click(".wired [data-panel=\"$panel\"]");
        }
        $page->until(
            'C is on output 1',
            fn () => str_contains($page->find('.wired [data-panel="3"]')->getText(), 'foyer-wall-1 · 1'),
        );
        self::assertStringContainsString('foyer-wall-1 · 4', $page->find('.wired [data-panel="6"]')->getText());
        $this->assertAccessible($page);
        foreach (['C 3', 'B 2', 'A 1', 'F 6', 'E 5', 'D 4'] as $index => $name) {
            $this->card($page, 'foyer-wall-1 · '.($index + 1), $name);
        }

        // Two panels are pushed over each other: the wall keeps them, and says so as a stop until it is called a blend.
        $page->press('Back to the Elevation')->press('Panels', '.tabs');
        $page->press('Arrange the panels freely')->click('.shape-drawing [data-panel="2"]')->typeIn('X', '1100');
        $page->see('overlap', '.findings');
        self::assertNotSame([], $page->all('.findings .finding-mark.stop'));
        $page
            ->press('A and B overlap on purpose')
            ->until('the stop is gone', fn () => $page->all('.column .finding-mark.stop') === []);
        $page->press('Show what happens')->see('5772 × 2166', 'aside');
        $this->assertAccessible($page);
    }

    /** What another mounting does to the design is shown before it is done, and can be taken back. */
    public function testAnotherMountingIsShownBeforeItIsDone(): void
    {
        $page = $this->page();
        $page->signIn('theo')->click('[data-surface="gate-2"]')->see('1080 × 1920 px', 'aside');
        $page
            ->press('Panels', '.tabs')
            ->choose('Mounting, clockwise as seen from the front', '0')
            ->see('1920 × 1080 px, landscape', 'aside');
        $page->press('Show what happens')->see('Gate 2, sailings and notices', '.effect');
        self::assertNotSame([], $page->all('.effect .plan-still'));
        $page
            ->press('Change it')
            ->until(
                'it hangs landscape',
                fn () => str_contains(
                    (string) $page->find('[data-surface="gate-2"]')->getAttribute('aria-label'),
                    '1920 × 1080 px, landscape',
                ),
            );
        $page
            ->press('Undo')
            ->until(
                'it hangs portrait again',
                fn () => str_contains(
                    (string) $page->find('[data-surface="gate-2"]')->getAttribute('aria-label'),
                    '1080 × 1920 px, portrait',
                ),
            );
    }

    /** Copied, grouped, moved by mouse and by keys, archived with what uses it named, restored. */
    public function testSurfacesAreArrangedGroupedCopiedAndArchived(): void
    {
        $this->expectRefusals('status of 409', 'status of 422');
        $page = $this->page();
        $page->signIn()->find('.groups-of-site');
        $page->typeIn('New group', 'Quay', WebDriverKeys::ENTER)->find('[aria-label="Name of the group Quay"]');
        $page->press('Move Quay up', '.groups-of-site')->until(
            'before the last',
            fn () => $page->script('return document.activeElement.value') === 'Quay'
                && $page->script('return document.querySelectorAll(".groups-of-site [id^=group-]")[1].value') === 'Quay',
        );
        $page->type('[aria-label="Name of the group Quay"]', 'Quay side', WebDriverKeys::TAB)
            ->find('[aria-label="Name of the group Quay side"]');
        $page->press('Remove the group Hall')->see('Hall wall', '.groups-of-site [role=alert]');
        $this->assertAccessible($page);
        $page->click('[data-surface="cafe"]')->see('3840 × 2160 px', 'aside');
        $page->press('Duplicate')->see('Café menu board, copy', 'aside h2');
        $copy = '[data-surface="cafe-menu-board-copy"]';
        $page
            ->press('Sheet', '.tabs')
            ->tick('Quay side')
            ->typeIn('Above the floor', '9999999')
            ->see('outside', 'aside [role=alert]');
        $page
            ->typeIn('Above the floor', '400')
            ->until(
                'it stands lower',
                fn () => str_contains((string) $page->find($copy)->getAttribute('aria-label'), '0.4 m above the floor'),
            );
        $page->press('All surfaces', 'aside')->see('Quay side', 'aside h2');
        $page->press('Café menu board, copy', 'aside')->press('Sheet', '.tabs');
        $page->press('Arrange')->drag($copy, 60, -30);
        $floor = fn () => (int) $page->field('Above the floor')->getAttribute('value');
        $page->until('it hangs higher', fn () => $floor() > 400);
        $higher = $floor();
        $page->script('document.querySelector(arguments[0]).focus()', $copy);
        $page->keys(WebDriverKeys::SHIFT.WebDriverKeys::ARROW_UP.WebDriverKeys::NULL);
        $page->until('and 100 mm more', fn () => $floor() === $higher + 100);
        $this->assertAccessible($page);

        $page
            ->press('Areas', '.tabs')
            ->typeIn('New area', 'Left third', '')
            ->press('Add area')
            ->see('Remove Left third', 'aside');
        $page
            ->typeIn('Width', '33.333')
            ->until('in px', fn () => str_contains($page->find('aside')->getText(), '0, 0, 1280, 2160'));
        $page->typeIn('X', '80')->see('reaches to', 'aside [role=alert]');
        $page
            ->press('Particulars', '.tabs')
            ->typeIn('Name of the new design', 'Third', '')
            ->choose('Made for', 'Left third')
            ->press('Make design')
            ->see('1280 × 2160 px', '.title-block');

        $page->press('Elevation')->click($copy)->press('Archive')->see('design “Third”', '.questions');
        $page->press('Archive all the same')->gone($copy);
        $page->see('Café menu board, copy', 'aside')->getText();
        // Others may have archived theirs.
        $page->script(
            'const own = (one) => one.closest("li").innerText.includes("Café menu board, copy");'.
                '[...document.querySelectorAll("[data-restore]")].find(own).click()',
        );
        $page->until('it is back', fn () => $page->all($copy) !== []);
    }

    /** Who mounts may make, arrange and wire, not design; who edits or operates looks on. */
    public function testWhoMayDoWhatWithSurfaces(): void
    {
        foreach (
            [
                'theo' => [true, false],
                'emil' => [false, false],
                'olga' => [false, false],
                'ada' => [true, true],
            ] as $who => [$mounts, $designs]
        ) {
            $page = $this->page();
            $page->signIn($who)->click('[data-surface="hall"]')->see('5772 × 2166 px', 'aside');
            self::assertSame(
                [$mounts, $mounts, $designs],
                [
                    $page->all('a[href$="/elevation/new"]') !== [],
                    $page->all('a[href$="/elevation/hall/outputs"]') !== [],
                    $page->all('#new-design') !== [],
                ],
                $who,
            );
            $page->press('Sheet', '.tabs')->find('#surface-panel input');
            self::assertSame($mounts, $page->field('Above the floor')->isEnabled(), $who);
            $page->open('/bench/0b0c1d00-0000-4000-8000-000000000004')->find('.wall-span');
            self::assertSame($designs, $page->find('.wall-panel')->isEnabled(), $who);
            $this->close($page);
        }
    }

    private function card(Page $page, string $output, string $name): void
    {
        $own = $page->browser->getWindowHandle();
        $page->press("Test card of $output");
        $page->browser
            ->switchTo()
            ->window(
                $page->until(
                    'a window',
                    fn () => array_values(array_diff($page->browser->getWindowHandles(), [$own]))[0] ?? null,
                ),
            );
        $page->until(
            "the card says $name",
            fn () => in_array(
                $name,
                $page->script('return [...document.querySelectorAll("svg text")].map((e) => e.textContent)'),
                true,
            ),
        );
        self::assertSame(
            [1920, 1080],
            $page->script(
                'const svg = document.querySelector("svg"); return [svg.width.baseVal.value, svg.height.baseVal.value]',
            ),
            'exactly its raster',
        );
        $page->browser->close();
        $page->browser->switchTo()->window($own);
    }
}
