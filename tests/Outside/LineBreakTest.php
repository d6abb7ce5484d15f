<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Text\LineBreaker;
use UpperPane\Core\Text\TextMode;
use UpperPane\Core\Text\TextSetter;
use UpperPane\Tests\Support\Chromium;
use UpperPane\Tests\Support\TestFonts;

/** Where lines break, against Debian's Chromium: it draws what players show. */
final class LineBreakTest extends TestCase
{
    private const WIDTHS = [130, 210, 300, 420, 640];

    /** Chromium's lines, read from its DOM, for texts of all the kinds that are broken by rules. */
    public function testLinesBreakWhereChromiumBreaksThem(): void
    {
        $texts = [
            'The quick brown fox jumps over the lazy dog and runs on.',
            'Sailings resume 2026-03-01 at 06:45 from berth 12/13, see https://harrowmere.example/sailings/today.',
            'Car deck — closed; foot passengers: use the east gate (lift out of order) before 10:30.',
            'Return fare £12.50–£14.75, 20 % off for under-16s and well-known senior-citizen passes.',
            '“Mind the gap,” she said. ‘Really?’ Yes! No… 100 km/h; A&B Co. C++ #1 @noon',
            "Non\u{A0}breaking\u{A0}words stay, zero\u{200B}width\u{200B}spaces break where they are put.",
            'Tides: +2.5 m, -0.3 m, ±0.1 m; 3×4 panels; 1/2 price; e-mail; x-ray; [1] {2} <3>',
            'Überfahrten nach Århus, Kraków und Île-de-Bréhat täglich außer sonntags. Öffnungszeiten!',
        ];
        $face = (new TestFonts())->face('Roboto', 400);
        $font = base64_encode((string) file_get_contents(TestFonts::path('Roboto', 400)));
        $browser = Chromium::open();
        $browser->get('data:text/html,<body></body>');
        try {
            $seen = $browser->executeAsyncScript(
                <<<'JS'
                const [data, texts, widths, done] = arguments
                const bytes = Uint8Array.from(atob(data), (c) => c.charCodeAt(0))
                new FontFace('probe', bytes).load().then((face) => {
                  document.fonts.add(face)
                  done(texts.map((text) => widths.map((width) => {
                    const box = document.body.appendChild(document.createElement('div'))
                    box.style.cssText = `font: 40px/1.5 probe; width: ${width}px; white-space: pre-wrap; position: absolute`
                    box.textContent = text
                    const range = document.createRange()
                    const lines = []
                    let top = null
                    for (let at = 0; at < text.length; at++) {
                      range.setStart(box.firstChild, at)
                      range.setEnd(box.firstChild, at + 1)
                      const rects = range.getClientRects()
                      const y = rects.length ? Math.round(rects[rects.length - 1].top) : top
                      if (top === null || (y !== top && text[at] !== ' ')) { lines.push(''); top = y }
                      lines[lines.length - 1] += text[at]
                    }
                    box.remove()
                    return lines.map((line) => line.replace(/ +$/, ''))
                  })))
                })
                JS
                ,
                [$font, $texts, self::WIDTHS],
            );
        } finally {
            $browser->quit();
        }
        foreach ($texts as $index => $text) {
            foreach (self::WIDTHS as $at => $width) {
                $set = TextSetter::set($text, $face, TextMode::Wrap, 40, 40, Size::of($width, 4000));
                self::assertSame($seen[$index][$at], array_column($set->lines, 'text'), "$width px: $text");
            }
        }
    }

    /** Every pair of ASCII signs, after what may make a difference: nothing, a letter, a bracket. */
    public function testEveryPairOfAsciiSigns(): void
    {
        $browser = Chromium::open();
        $browser->get('data:text/html,<body></body>');
        try {
            $seen = $browser->executeScript(
                <<<'JS'
                const box = document.body.appendChild(document.createElement('div'))
                box.style.cssText = 'font: 20px/30px sans-serif; width: 0; position: absolute; white-space: pre-wrap'
                const range = document.createRange()
                const top = (at) => {
                  range.setStart(box.firstChild, at)
                  range.setEnd(box.firstChild, at + 1)
                  return range.getBoundingClientRect().top
                }
                const broken = []
                for (const before of ['', 'a', '('])
                  for (let a = 33; a < 127; a++)
                    for (let b = 33; b < 127; b++) {
                      box.textContent = before + String.fromCharCode(a, b)
                      if (top(before.length) !== top(before.length + 1)) broken.push(box.textContent)
                    }
                return broken
                JS
                ,
            );
        } finally {
            $browser->quit();
        }
        $ours = [];
        foreach (['', 'a', '('] as $before) {
            for ($a = 33; $a < 127; ++$a) {
                for ($b = 33; $b < 127; ++$b) {
                    $pieces = LineBreaker::pieces($before.chr($a).chr($b));
                    if (end($pieces) === chr($b)) {
                        $ours[] = $before.chr($a).chr($b);
                    }
                }
            }
        }

        self::assertGreaterThan(700, count($seen));
        self::assertSame($seen, $ours);
    }
}
