<?php

declare(strict_types=1);

namespace UpperPane\Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use PHPUnit\Framework\Attributes\DataProvider;
use UpperPane\Tests\Support\Page;

/**
 * With a catalogue of made-up words nothing on the screen is English any more but what the server said: data, and words
 * of the core's catalogue. So every word of the interface comes from its catalogue.
 */
final class WordsTest extends BrowserCase
{
    /** Signs of units and of time, which are the same in every language, and the product's name. */
    private const SIGNS = [
        'GMT',
        'UTC',
        'Esc',
        'Upper',
        'Pane',
        'EDID',
        'LCD',
        'LED',
        'Ctrl',
        'Alt',
        'Shift',
        'Tab',
        'Space',
    ];

    /** Remembers the words of every answer the page gets, and puts other letters for those of the catalogue. */
    private const HEAR = <<<'JS'
    window.heard = new Set()
    const hear = (value) => {
      if (typeof value === 'string') for (const word of value.match(/\p{L}+/gu) ?? []) window.heard.add(word)
      else if (value && typeof value === 'object') for (const [key, one] of Object.entries(value)) { hear(key); hear(one) }
    }
    const plain = window.fetch
    window.fetch = async (...request) => {
      const answer = await plain(...request)
      if ((answer.headers.get('Content-Type') ?? '').includes('json')) hear(await answer.clone().json().catch(() => null))
      return answer
    }
    JS;
    private const MAKE_UP = <<<'JS'
    const given = document.querySelector('#app').__vue_app__._context.provides
    const words = Object.getOwnPropertySymbols(given).map((key) => given[key]).find((one) => one?.global?.setLocaleMessage).global
    const other = (text) => {
      let depth = 0
      return [...text].map((sign) => {
        if (sign === '{') ++depth
        if (sign === '}') --depth
        return depth % 2 === 0 && /\p{L}/u.test(sign) ? 'ж' : sign
      }).join('')
    }
    const all = (value) => typeof value === 'string' ? other(value)
      : Object.fromEntries(Object.entries(value).map(([key, one]) => [key, all(one)]))
    words.setLocaleMessage('qaa', all(words.getLocaleMessage('en')))
    words.locale.value = 'qaa'
    JS;
    private const STRANGE = <<<'JS'
    const [signs] = arguments
    // Dates come from Intl (ICU), not from a catalogue.
    const month = new Intl.DateTimeFormat('en-GB', { month: 'short' })
    const months = [...Array(12).keys()].map((index) => month.format(new Date(2026, index, 1)))
    const strange = new Set()
    const judge = (text, where) => {
      for (const word of text.match(/\p{L}{3,}/gu) ?? [])
        if (!/^ж+$/.test(word) && !window.heard.has(word) && !signs.includes(word) && !months.includes(word)) strange.add(`${word} (${where})`)
    }
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_ELEMENT | NodeFilter.SHOW_TEXT)
    for (let node = walk.nextNode(); node; node = walk.nextNode()) {
      if (node.nodeType === 3) {
        const of = node.parentElement
        if (!of.closest('script, style, .stage, .still, time, kbd')) judge(node.data, of.tagName + '.' + of.className)
      } else for (const name of ['title', 'aria-label', 'alt', 'placeholder'])
        if (node.hasAttribute(name)) judge(node.getAttribute(name), '@' + name)
    }
    return [...strange]
    JS;

    /** @return iterable<string, array{string, string, list<string>}> address, what is there then, what is opened */
    public static function places(): iterable
    {
        yield 'the elevation' => ['/harrowmere/elevation/hall', '.elevation-drawing', []];
        yield 'a new surface' => ['/harrowmere/elevation/new', 'form', []];
        yield 'the output map' => ['/harrowmere/elevation/hall/outputs', '.raster', []];
        yield 'the bench' => ['/harrowmere/bench/0b0c1d00-0000-4000-8000-000000000001', '.pane', ['.verdict button']];
        yield 'the Stock' => ['/harrowmere/stock', '.media-card', []];
        yield 'the Hand-off' => ['/harrowmere/hand-off', '[data-player]', []];
        yield 'the sheet of keys' => ['/harrowmere/stock', '.media-card', ['?']];
    }

    /** @param list<string> $open */
    #[DataProvider('places')]
    public function testEveryWordComesFromACatalogue(string $address, string $there, array $open): void
    {
        $page = $this->page();
        (new ChromeDevToolsDriver($page->browser))->execute('Page.addScriptToEvaluateOnNewDocument', [
            'source' => self::HEAR,
        ]);
        $page->signIn('theo')->open($address)->find($there);
        $page->script(self::MAKE_UP);
        foreach ($open as $css) {
            $css === '?' ? $page->keys('?') : $page->click($css);
        }

        $strange = [];
        try {
            $page->until('made-up words', function () use ($page, &$strange) {
                return ($strange = $this->strange($page)) === [];
            });
        } catch (\RuntimeException) {
            self::assertSame([], $strange);
        }
        self::assertSame([], $strange);
    }

    /** @return list<string> */
    private function strange(Page $page): array
    {
        /** @var list<string> */
        return $page->script(self::STRANGE, self::SIGNS);
    }
}
