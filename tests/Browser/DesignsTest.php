<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys as Keys;
use UpperPane\Tests\Support\Page;

/** Designs for a typed size and for several surfaces: begun, found, duplicated, released at once, handed to each. */
final class DesignsTest extends BrowserCase
{
    public function testADesignForASizeIsMeantForSurfacesAndReleasedForThemAtOnce(): void
    {
        $page = $this->page();
        $page->signIn()->press('Designs')->see('Every design of this site.', '.place-head');
        $page->typeIn('Name of the new design', 'Season banner')->typeIn('Width', '0');
        $this->expectRefusals('status of 422');
        $page->press('Make design')->see('1', 'aside [role=alert]');
        $this->assertAccessible($page);
        $page->typeIn('Width', '1200')->typeIn('Height', '400')->press('Make design');
        $page->see('no surface yet', '.title-block');
        $page->see('1 stop', '.title-block');
        $page->press('colour', 'aside')->until('filled', fn () => $page->all('.finding-mark.stop') === []);

        $page->press('no surface yet', '.bench-bar')->see('Previews', 'aside');
        $page->click('[aria-label="Meant for Gate 2 totem"]')->see('Gate 2 totem', '.bench-surface');
        $page->click('[aria-label="Meant for Ticket kiosk"]')->see('and 1 more', '.bench-surface');
        $this->assertAccessible($page);
        $page->press('Release …')->find('[data-for="kiosk"] .plan-still');
        $page->find('[data-for="gate-2"] .plan-still');
        $this->assertAccessible($page);
        $page->press('Release revision', '.modal')->see('for 2 surfaces', '.modal');
        $page->press('Go to Hand-off', '.modal')->see('Hand-off', 'h1');
        $page->gone('.modal');
        $this->handOff($page, 'kiosk', 'Season banner, release 1');
        $this->handOff($page, 'gate-2', 'Season banner, release 1');

        $page->open('/harrowmere/elevation')->click('[data-surface="gate-2"]')->see('Season banner', 'aside .lines');
    }

    public function testDesignsAreFoundDuplicatedAndPutAwayByKeyboard(): void
    {
        $page = $this->page();
        $page->signIn()->open('/harrowmere/designs')->find('.design-table');
        $rows = static fn (int $count) => static fn () => count($page->all('.design-table tbody tr')) === $count;
        $page->tabTo('Name, surface, 1920×1080, who, date')->keys('5772x2166 dina');
        $page->until('designs of that size alone', static function () use ($page): bool {
            $found = array_map(static fn ($row) => $row->getText(), $page->all('.design-table tbody tr'));

            return $found !== [] && $found === preg_grep('/5772 × 2166/', $found);
        });
        $page->tabTo('Duplicate Welcome to the lake')->keys(Keys::ENTER);
        $page->see('Copy of Welcome to the lake', '.title-block');
        $page->tabTo('Designs')->keys(Keys::ENTER)->find('.design-table');
        $page->tabTo('Name, surface, 1920×1080, who, date')->keys('copy lake')->until('the copy', $rows(1));
        $page->tabTo('Archive Copy of Welcome to the lake')->keys(Keys::ENTER)->see('No design has all these words');
        $page->tabTo('archived', true)->keys(Keys::SPACE)->until('the copy among those put away', $rows(1));
        $page->tabTo('Restore Copy of Welcome to the lake')->keys(Keys::ENTER)->see('No design has all these words');
        $this->assertAccessible($page);
    }

    /** Written by one design and read into another: the same rectangles; what is not SMIL is refused. */
    public function testALayoutGoesOutAsSmilAndComesBack(): void
    {
        $page = $this->page();
        $page->signIn()->open('/bench/0b0c1d00-0000-4000-8000-000000000005')->find('.pane');
        $smil = (string) $page->browser->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; fetch("/api/designs/0b0c1d00-0000-4000-8000-000000000005/sheet.smil").then((answer) => answer.text()).then(done)',
        );
        $sizes = fn (): array => (array) $page->script(
            'return [...document.querySelectorAll(".pane-face, .float-face")].map((face) => face.getAttribute("aria-label").split(", ")[1]).sort()',
        );
        $written = $sizes();
        $page->open('/harrowmere/designs')->find('.design-table');
        $this->expectRefusals('status of 422');
        $this->choose($page, 'no.smil', '<html/>')->see('is not SMIL', 'aside');
        $this->choose($page, 'Menu from elsewhere.smil', $smil)->see('The design is made.', 'aside');
        $this->assertAccessible($page);
        $page->press('Open the design')->see('Menu from elsewhere', '.title-block');
        $page->until('the same rectangles', fn () => $sizes() === $written);
    }

    private function choose(Page $page, string $name, string $content): Page
    {
        $folder = sys_get_temp_dir().'/smil-'.bin2hex(random_bytes(4));
        mkdir($folder);
        file_put_contents("$folder/$name", $content);
        $page->field('SMIL document')->sendKeys("$folder/$name");

        return $page;
    }

    public function testADesignIsBegunForSeveralSurfacesFromTheElevation(): void
    {
        $page = $this->page();
        $page->signIn()->click('[data-surface="booking"]')->typeIn('Name of the new design', 'Closing early');
        $page->press('Also for')->tick('Gate 1 totem');
        $page->tick('Gate 2 totem')->see('Also for 2 other surfaces', 'aside');
        $this->assertAccessible($page);
        $page->press('Make design')->see('Booking office and 2 more', '.bench-surface');
        $page->click('.bench-surface')->until(
            'meant for both gates',
            fn () => $page->script(
                'return ["Gate 1 totem", "Gate 2 totem"].every((name) => document.querySelector(`[aria-label="Meant for ${name}"]`)?.checked)',
            ),
        );
    }
}
