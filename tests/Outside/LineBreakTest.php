<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Text\Setting\LineBreaker;
use UpperPane\Core\Text\Setting\MixedFaces;
use UpperPane\Core\Text\Setting\TextMode;
use UpperPane\Core\Text\Setting\TextSetter;
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
        $seen = self::seen($texts, self::WIDTHS);
        foreach ($texts as $index => $text) {
            foreach (self::WIDTHS as $at => $width) {
                $set = TextSetter::set($text, $face, TextMode::Wrap, 40, 40, Size::of($width, 4000));
                self::assertSame($seen[$index][$at], array_column($set->lines, 'text'), "$width px: $text");
            }
        }
    }

    /**
     * A soft hyphen counts only where a line breaks at it: random words whose last syllables are narrower than a
     * hyphen, or wider.
     */
    public function testSoftHyphensBreakWhereChromiumBreaksThem(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $syllables = ['A', 'li', 'bi', 'l', 'un', 'be', 'liev', 'able', 'i', 'Wamm', 'st', 'j', 'fi', 'Mo'];
        $texts = [];
        for ($number = 0; $number < 120; ++$number) {
            $words = [];
            for ($word = $random->getInt(1, 4); $word > 0; --$word) {
                $parts = array_map(static fn () => $syllables[$random->getInt(0, 13)], range(0, $random->getInt(0, 5)));
                $words[] = implode("\u{AD}", $parts);
            }
            $texts[] = implode(' ', $words);
        }
        // Where a browser's own hyphen (U+2010) and the one that is drawn here, a little wider, make no difference.
        $widths = [60, 95, 130, 150, 172, 220];
        $seen = self::seen($texts, $widths);
        $face = (new TestFonts())->face('Roboto', 400);
        foreach ($texts as $index => $text) {
            foreach ($widths as $at => $width) {
                $set = TextSetter::set($text, $face, TextMode::Wrap, 40, 40, Size::of($width, 4000));
                self::assertSame(
                    str_replace("\u{AD}", '', $seen[$index][$at]),
                    str_replace(["\u{AD}", '-'], '', array_column($set->lines, 'text')),
                    "$width px: ".str_replace("\u{AD}", '·', $text),
                );
            }
        }
    }

    /** Kana, their small ones and the sign that lengthens them, by threes: Chromium breaks in no width where we do. */
    public function testKanaBreakWhereChromiumBreaksThem(): void
    {
        $signs = ['あ', 'ァ', 'ー', 'ッ', 'ょ', '日', '。', '「', '々', 'ア'];
        $texts = [];
        foreach ($signs as $one) {
            foreach ($signs as $two) {
                foreach ($signs as $three) {
                    $texts[] = "$one$two$three";
                }
            }
        }
        $seen = self::seen($texts, [1]);
        foreach ($texts as $index => $text) {
            self::assertSame($seen[$index][0], LineBreaker::pieces($text), $text);
        }
    }

    /**
     * Lines of 40 px Roboto, read from Chromium's DOM.
     *
     * @param list<string> $texts
     * @param list<int>    $widths
     *
     * @return list<list<list<string>>> by text and width
     */
    private static function seen(array $texts, array $widths): array
    {
        $font = base64_encode((string) file_get_contents(TestFonts::path('Roboto', 400)));
        $browser = Chromium::open();
        $browser->get('data:text/html,<body></body>');
        try {
            return $browser->executeAsyncScript(
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
                [$font, $texts, $widths],
            );
        } finally {
            $browser->quit();
        }
    }

    /** Texts in two weights, which change at words and within them: Chromium's lines, and their widths. */
    public function testTextsInTwoWeightsAreSetAsInChromium(): void
    {
        $text = 'Sailings resume AVAILABLE on 2026-03-01 at 06:45; office flags wave offline, well-known fiords fit.';
        $marked = [[], [[16, 25]], [[2, 5], [16, 22], [24, 29]], [[70, 72], [72, 77], [88, 99]], [[0, 99]]];
        $fonts = new TestFonts();
        $face = $fonts->face('Roboto', 400);
        $data = array_map(
            static fn (int $weight) => base64_encode(
                (string) file_get_contents(TestFonts::path('Roboto', $weight)),
            ),
            [400, 700],
        );
        $browser = Chromium::open();
        $browser->get('data:text/html,<body></body>');
        try {
            $seen = $browser->executeAsyncScript(
                <<<'JS'
                const [fonts, text, marked, widths, done] = arguments
                const load = (data, weight) =>
                  new FontFace('two', Uint8Array.from(atob(data), (c) => c.charCodeAt(0)), { weight }).load()
                Promise.all([load(fonts[0], '400'), load(fonts[1], '700')]).then((faces) => {
                  faces.forEach((face) => document.fonts.add(face))
                  const box = document.body.appendChild(document.createElement('div'))
                  done(marked.map((runs) => widths.map((width) => {
                    box.style.cssText = `font: 400 40px/1.5 two; width: ${width}px; white-space: pre-wrap; position: absolute`
                    box.textContent = ''
                    let from = 0
                    const add = (to, weight) => {
                      const span = box.appendChild(document.createElement('span'))
                      span.style.fontWeight = weight
                      span.textContent = text.slice(from, to)
                      from = to
                    }
                    for (const run of runs) { add(run[0], 400); add(run[1], 700) }
                    add(text.length, 400)
                    const range = document.createRange()
                    const lines = []
                    let top = null
                    for (const { firstChild: node } of box.children)
                      for (let at = 0; node && at < node.data.length; at++) {
                        range.setStart(node, at)
                        range.setEnd(node, at + 1)
                        const rects = range.getClientRects()
                        const rect = rects[rects.length - 1]
                        const [letter, y] = [node.data[at], rect ? Math.round(rect.bottom) : top]
                        if (top === null || (Math.abs(y - top) > 20 && letter !== ' ')) { lines.push({ text: '', from: rect.left }); top = y }
                        lines.at(-1).text += letter
                        if (letter !== ' ') lines.at(-1).to = rect.right
                      }
                    return lines.map((line) => [line.text.trimEnd(), line.to - line.from])
                  })))
                })
                JS
                ,
                [$data, $text, $marked, self::WIDTHS],
            );
        } finally {
            $browser->quit();
        }
        foreach ($marked as $index => $runs) {
            $others = array_map(
                static fn (array $run) => ['from' => $run[0], 'to' => $run[1], 'face' => $fonts->face('Roboto', 700)],
                $runs,
            );
            foreach (self::WIDTHS as $at => $width) {
                $faces = MixedFaces::of($face, $others);
                $set = TextSetter::set($text, $faces, TextMode::Wrap, 40, 40, Size::of($width, 4000));
                $what = "$width px: ".json_encode($runs);
                self::assertSame(array_column($seen[$index][$at], 0), array_column($set->lines, 'text'), $what);
                foreach ($set->lines as $line => ['width' => $px]) {
                    self::assertEqualsWithDelta($seen[$index][$at][$line][1], $px->decimal(3), 0.1, $what);
                }
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
