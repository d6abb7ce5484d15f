<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use UpperPane\Tests\Support\Files;
use UpperPane\Tests\Support\Page;

/** Files on their way into the Stock, in its folders, looked into, and out of it again. */
final class StockTest extends BrowserCase
{
    /** A connection that breaks in the middle of a large file: it goes on where it was. */
    public function testALargeFileGoesOnAfterTheConnectionBroke(): void
    {
        $this->expectRefusals('net::ERR', 'Failed to load');
        $page = $this->page()->signIn()->open('/harrowmere/stock');
        $page->find('.media-card');
        $large = Files::path('large.bmp');
        $picture = imagecreatetruecolor(2600, 1600);
        imagefilledrectangle($picture, 0, 0, random_int(1, 2599), random_int(1, 1599), random_int(1, 0xFFFFFF));
        imagebmp($picture, $large, false);
        $this->network($page, 6 << 20);
        $page->browser->findElement(WebDriverBy::cssSelector('.stock input[type=file]'))->sendKeys($large);
        $sent = static fn (): float => (float) $page->script(
            'return document.querySelector(".uploads [role=progressbar]")?.ariaValueNow ?? 0',
        );
        $page->until('a part has arrived', static fn () => $sent() > 8 << 20);
        $page->see('1 file on the way', '.stock');
        $this->network($page, 0);
        $page->until('it stands', static function () use ($sent): bool {
            static $last = -1.0;
            [$before, $last] = [$last, $sent()];

            return $before === $last;
        });
        $this->network($page, -1);
        $page->until('arrived', fn () => str_contains($page->find('.media-grid')->getText(), 'large.bmp'), 40);
        $page->until('2600 px', fn () => str_contains($page->find('.media-card')->getText(), '2600 × 1600'), 30);
    }

    /** A video shows what comes so far into it, wherever the pointer is on it. */
    public function testAVideoIsLookedThrough(): void
    {
        $page = $this->page()->signIn()->open('/harrowmere/stock');
        $page->type('#stock-search', 'Crossing to Ness');
        $page->until('alone', fn () => count($page->all('.media-card')) === 1);
        $page->drag('.media-card .frame', 30, 0);
        $time = static fn (): float => (float) $page->script(
            'return document.querySelector(".media-card video")?.currentTime ?? 0',
        );
        $page->until('past its middle', static fn () => $time() > 6);
    }

    public function testFoldersAreFilledAndUsedFilesLeaveByChoice(): void
    {
        $page = $this->page()->signIn('ada')->open('/harrowmere/stock');
        $card = fn (string $name): string => '[data-media="'.$page->until($name, fn () => $page->script(
            'return [...document.querySelectorAll(".media-card")]'.
                '.find((one) => one.textContent.includes(arguments[0]))?.dataset.media',
            $name,
        )).'"]';
        $page->press('Notes …', $card('Hall view.jpg'))->find('.modal input');
        $page->type('.modal input[list=stock-folders]', ' Views / Hall ')->press('Note it', '.modal')->gone('.modal');
        $page->choose('Folder', 'Views')->until('alone', fn () => count($page->all('.media-card')) === 1);
        $page->see('Views/Hall', '.media-card');
        $page->choose('Folder', 'in no folder')->until('others', fn () => count($page->all('.media-card')) > 5);
        $page->choose('Folder', 'all folders');

        $page->click($card('Hall view.jpg').' .remove')->see('nothing is shown in its place in', '.modal');
        $this->assertAccessible($page);
        $page->press('Keep it', '.modal')->gone('.modal');
        $page->click($card('Hall view.jpg').' .remove')->press('Remove it all the same', '.modal');
        $page->until('gone', fn () => !str_contains($page->find('.media-grid')->getText(), 'Hall view.jpg'));
        $page->press('Undo', '.place-note');
        $page->until('back', fn () => str_contains($page->find('.media-grid')->getText(), 'Hall view.jpg'));
    }

    private function network(Page $page, int $bytesPerSecond): void
    {
        $tools = new ChromeDevToolsDriver($page->browser);
        $tools->execute('Network.enable');
        $tools->execute('Network.emulateNetworkConditions', [
            'offline' => $bytesPerSecond === 0,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => $bytesPerSecond === 0 ? -1 : $bytesPerSecond,
        ]);
    }
}
