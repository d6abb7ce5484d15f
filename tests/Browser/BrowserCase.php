<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use UpperPane\Tests\Support\Chromium;
use UpperPane\Tests\Support\Page;

/**
 * A test in the real interface. It fails on any console error that was not expected, and on any axe-core violation it
 * looks for.
 */
abstract class BrowserCase extends TestCase
{
    /** @var list<RemoteWebDriver> */
    private array $browsers = [];

    /** @var list<string> parts of console messages that this test means to cause */
    private array $expected = [];

    protected function page(int $width = 1280, int $height = 800, ?string $profile = null): Page
    {
        $this->browsers[] = $browser = Chromium::open([$width, $height], $profile);

        return new Page($browser, $this->address());
    }

    protected function address(): string
    {
        return (string) getenv('UPPER_PANE_URL') ?: self::fail('Run this by bin/test, which starts the app.');
    }

    /** Says that the server will refuse: the browser logs every answer of 400 and above. */
    protected function expectRefusals(string ...$parts): void
    {
        $this->expected = [...$this->expected, ...$parts];
    }

    /**
     * No violation of WCAG 2 A and AA rules, as axe-core sees them. The surfaces of the Elevation are drawn to scale,
     * as on a map: their size is essential, and the list beside the drawing is another way to each (WCAG 2.2, 2.5.8,
     * exceptions *essential* and *equivalent*, which axe-core cannot see).
     */
    protected function assertAccessible(Page $page): void
    {
        // A tooltip may come up at any time; while it fades in, its letters are as pale as it is.
        $page->script(<<<'JS'
            const still = new CSSStyleSheet()
            still.replaceSync('.tooltip, .tooltip * { transition: none !important; animation: none !important }')
            document.adoptedStyleSheets = [...document.adoptedStyleSheets, still]
            JS);
        $page->script((string) file_get_contents(\dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'));
        /** @var list<string> $violations */
        $violations = $page->browser->executeAsyncScript(
            <<<'JS'
            const done = arguments[arguments.length - 1]
            axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] }).then((result) => done(
                result.violations
                    .map((v) => [v.id, v.nodes.filter((n) => v.id !== 'target-size' || !n.target.join(' ').startsWith('button[data-surface='))])
                    .filter(([, nodes]) => nodes.length)
                    .map(([id, nodes]) => id + ': ' + nodes.map((n) => n.target.join(' ') + ' ' + (n.any[0]?.message ?? '')).join('; ')),
            ))
            JS
            ,
        );
        self::assertSame([], $violations);
    }

    /** The address of a copy of a design, so that a test has one of its own. */
    protected function copied(Page $page, string $design): string
    {
        $page->open('/harrowmere/designs')->press('Duplicate', "[data-design='$design']");
        $page->until('the copy', static fn () => str_contains($page->browser->getCurrentURL(), '/bench/'));
        $page->find('.bench-stage .pane-zone');

        return (string) parse_url($page->browser->getCurrentURL(), \PHP_URL_PATH);
    }

    /** Releases the design on the bench and goes to Hand-off. */
    protected function release(Page $page, string $note): void
    {
        $page
            ->press('Release …')
            ->type('#release-note', $note)
            ->press('Release revision', '.modal')
            ->see('is made', '.modal');
        $page->press('Go to Hand-off', '.modal')->see('Hand-off', 'h1');
        $page->gone('.modal');
    }

    /** Gives a release, named as the list names it, to a surface. */
    protected function handOff(Page $page, string $surface, string $release): void
    {
        $card = "[data-handed=\"$surface\"]";
        $page->until("$release to choose", function () use ($page, $card, $release) {
            foreach ($page->find("$card select")->findElements(WebDriverBy::tagName('option')) as $option) {
                if (str_starts_with($option->getText(), $release)) {
                    $option->click();

                    return true;
                }
            }

            return null;
        });
        $page->press('Hand off', $card)->see($release, "$card dd");
    }

    /** Types the code that a window shows, as a technician who stands before it does. */
    protected function pair(Page $handOff, Page $window, string $player): void
    {
        preg_match('/type (\w{3} \w{3})/', $window->see('in Hand-off', '#word')->getText(), $shown);
        $handOff->find("[data-player=\"$player\"]");
        if ($handOff->all("#code-$player") === []) {
            $handOff->press('Pair another screen', "[data-player=\"$player\"]");
        }
        $handOff->type("#code-$player", strtolower($shown[1] ?? ''), WebDriverKeys::ENTER)->gone("#code-$player");
    }

    protected function close(Page $page): void
    {
        $this->judge($page->browser);
        $this->browsers = array_values(
            array_filter($this->browsers, static fn (RemoteWebDriver $browser) => $browser !== $page->browser),
        );
        $page->browser->quit();
    }

    protected function tearDown(): void
    {
        try {
            foreach ($this->browsers as $index => $browser) {
                if (!$this->status()->isSuccess()) {
                    $browser->takeScreenshot(sys_get_temp_dir().'/failed-'.$this->name()."-$index.png");
                }
                $this->judge($browser);
            }
        } finally {
            array_map(static fn (RemoteWebDriver $browser) => $browser->quit(), $this->browsers);
            $this->browsers = [];
        }
    }

    private function judge(RemoteWebDriver $browser): void
    {
        $errors = [];
        foreach ($browser->manage()->getLog('browser') as $line) {
            $known =
                array_filter($this->expected, static fn (string $part) => str_contains($line['message'], $part)) !== [];
            if (in_array($line['level'], ['SEVERE', 'WARNING'], true) && !$known) {
                $errors[] = $line['message'];
            }
        }
        self::assertSame([], $errors, 'the console is quiet');
    }
}
