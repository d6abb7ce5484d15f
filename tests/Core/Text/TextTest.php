<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Text;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Text\Setting\LineBreaker;
use UpperPane\Core\Text\Setting\ReadingTime;
use UpperPane\Core\Text\Setting\SetText;
use UpperPane\Core\Text\Setting\TextMode;
use UpperPane\Core\Text\Setting\TextSetter;
use UpperPane\Tests\Support\TestFonts;

final class TextTest extends TestCase
{
    private const LONG = 'The quick brown fox jumps over the lazy dog and then goes home to sleep for a while.';

    /** The first line of checks.md, from Chromium: Roboto 40 px in 300 px is "The quick brown", 293.27 px. */
    public function testWrapsWhereTheBrowserDoes(): void
    {
        $set = self::set(self::LONG, TextMode::Wrap, 40, Size::of(300, 1000));

        self::assertSame('The quick brown', $set->lines[0]['text']);
        self::assertEqualsWithDelta(293.27, $set->lines[0]['width']->decimal(3), 0.01);
    }

    /** Shrink takes the largest size that fits: it does, and one px more does not. */
    public function testShrinksToTheLargestSizeThatFits(): void
    {
        foreach ([[600, 200], [300, 300], [1000, 90]] as [$width, $height]) {
            $box = Size::of($width, $height);
            $set = self::set(self::LONG, TextMode::WrapShrink, 200, $box, 10);
            self::assertFalse($set->overflows);
            self::assertTrue(self::set(self::LONG, TextMode::Wrap, $set->sizePx + 1, $box)->overflows);
        }
        self::assertTrue(
            self::set(self::LONG, TextMode::WrapShrink, 200, Size::of(50, 20), 30)->overflows,
            'stops at the least size and says so',
        );
    }

    /** A line as wide as the box stays one, a unit less breaks it; the space before the break takes no room. */
    public function testALineMayBeAsWideAsItsBox(): void
    {
        $pieces = ['one ', 'two ', 'three'];
        $run = array_map(
            static fn (array $at) => ['from' => $at[0], 'to' => $at[1], 'end' => $at[1]],
            [[0, 400], [450, 900], [950, 1700]],
        );
        $lines = static fn (int $units) => array_column(
            LineBreaker::lines($pieces, $run, Rational::of($units)),
            'text',
        );

        self::assertSame(['one two', 'three'], $lines(900));
        self::assertSame(['one', 'two', 'three'], $lines(899));
        self::assertSame(['one two three'], $lines(1700));
        self::assertSame(['one two', 'three'], $lines(1699));
    }

    public function testEllipsisCutsAtGraphemes(): void
    {
        $set = self::set('Zoë 👩‍👩‍👧‍👦👩‍👩‍👧‍👦👩‍👩‍👧‍👦 and many more words', TextMode::Ellipsis, 40, Size::of(300, 60));

        self::assertStringEndsWith('…', $set->lines[0]['text']);
        self::assertLessThanOrEqual(0, $set->widthPx()->compare(Rational::of(300)));
        self::assertDoesNotMatchRegularExpression('/\x{200D}…$/u', $set->lines[0]['text']);
        self::assertFalse($set->exact, 'Roboto has no emoji');
    }

    /** The quick ways find what trying every size, and every length, finds: the definitions themselves. */
    public function testShrinkAndEllipsisFindWhatTryingAllFinds(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $words = explode(' ', self::LONG.' AVATAR Ta To Wy P. fi LYV “T” 12:45');
        for ($try = 0; $try < 60; ++$try) {
            $text = implode(
                ' ',
                array_map(
                    static fn () => $words[$random->getInt(0, count($words) - 1)],
                    range(1, $random->getInt(1, 14)),
                ),
            );
            $box = Size::of($random->getInt(20, 500), $random->getInt(10, 300));
            $size = 90;
            while ($size > 5 && self::set($text, TextMode::Wrap, $size, $box)->overflows) {
                --$size;
            }
            self::assertSame(
                $size,
                self::set($text, TextMode::WrapShrink, 90, $box, 5)->sizePx,
                "$text in {$box->width} × {$box->height}",
            );

            $face = (new TestFonts())->face('Roboto', 400);
            $cuts = array_map(
                static fn (int $length) => rtrim(mb_substr($text, 0, $length)).'…',
                range(mb_strlen($text) - 1, 0),
            );
            $fits = array_filter(
                $cuts,
                static fn (string $cut) => $cut !== '…'
                    && $face->widthPx($cut, 30)->compare(Rational::of($box->width)) <= 0,
            );
            $whole = $face->widthPx($text, 30)->compare(Rational::of($box->width)) <= 0;
            self::assertSame(
                $whole ? $text : (reset($fits) ?: '…'),
                self::set($text, TextMode::Ellipsis, 30, $box)->lines[0]['text'],
            );
        }
    }

    /**
     * What a browser does beyond adding up advances, each found to differ from Chromium's DOM in a review: said, never
     * called exact.
     */
    public function testSaysWhereAWidthIsAGuess(): void
    {
        $face = (new TestFonts())->face('Roboto', 400);
        foreach (
            ['Naïve café, 12:45', 'Ťažký ďábel', 'Газ', "two\nlines", 'Zürich – 5 °C', 'Газ A', "e\u{301}"] as $exact
        ) {
            self::assertTrue($face->measures($exact), $exact);
        }
        foreach (
            ["12:45\tParis", "Auto\u{AD}bahn", "A\u{200D}V", "T\u{200B}o", "a\x0Cb", '北京', 'שלום', '👍'] as $guess
        ) {
            self::assertFalse($face->measures($guess), $guess);
        }
        self::assertFalse((new TestFonts())->face('Amiri', 400)->measures('مرحبا'), 'letters that join');
        self::assertFalse((new TestFonts())->face('Amiri', 400)->measures('3⁄4'), 'a fraction');
    }

    /** Tabs reach to every eighth space, soft hyphens are nothing until a line ends there (CSS Text 3). */
    public function testTabsAndSoftHyphensTakeTheirRoom(): void
    {
        $face = (new TestFonts())->face('Roboto', 400);
        $stop = 8 * $face->widthUnits(' ');

        self::assertSame($stop + $face->widthUnits('b'), $face->widthUnits("a\tb"));
        self::assertSame(2 * $stop, $face->widthUnits("\t\t"));
        self::assertSame($face->widthUnits('Autobahn'), $face->widthUnits("Auto\u{AD}bahn"));
        self::assertSame(
            ['Auto-', 'bahn'],
            array_column(self::set("Auto\u{AD}bahn", TextMode::Wrap, 40, Size::of(110, 200))->lines, 'text'),
        );
    }

    /** Texts of strangers: bidi overrides, emoji, marks alone, nothing, an endless word, ten thousand letters. */
    public function testNothingThatIsTypedTearsItDown(): void
    {
        foreach (
            [
                '',
                "\u{202E}abc\u{202C} \u{2066}def\u{2069}",
                '👩‍👩‍👧‍👦🏳️‍🌈',
                "\u{301}\u{302}",
                str_repeat('W', 3000),
                str_repeat(self::LONG.' ', 120),
                "\t\t\n\n \n",
                '<b onclick="x">&amp;</b>',
            ] as $text
        ) {
            foreach (TextMode::cases() as $mode) {
                $set = self::set($text, $mode, 60, Size::of(640, 480), 12);
                self::assertNotSame([], $set->lines);
                self::assertGreaterThanOrEqual(0, $set->widthPx()->compare(Rational::of(0)));
                if ($mode !== TextMode::Ellipsis) {
                    self::assertSame(
                        preg_replace('/\s+/', '', $text),
                        preg_replace('/\s+/', '', implode('', array_column($set->lines, 'text'))),
                        'no sign is lost',
                    );
                }
            }
        }
    }

    public function testLaysFiveThousandCharacters(): void
    {
        $text = mb_substr(str_repeat(self::LONG.' ', 60), 0, 5000);
        $set = self::set($text, TextMode::WrapShrink, 72, Size::of(1320, 880), 8);

        self::assertSame(
            mb_strlen(preg_replace('/\s+/', '', $text) ?? ''),
            mb_strlen(preg_replace('/\s+/', '', implode('', array_column($set->lines, 'text'))) ?? ''),
            'no letter is lost',
        );
    }

    public function testPiecesAreTheParagraph(): void
    {
        foreach ([self::LONG, 'a/b and/or c', '北京欢迎你', 'well-known 2026-03-14'] as $text) {
            self::assertSame($text, implode('', LineBreaker::pieces($text)));
        }
        self::assertSame(['a/b'], LineBreaker::pieces('a/b'));
    }

    /** 200 words a minute, read twice, at least 3 s (from memory). */
    public function testReadingTime(): void
    {
        self::assertSame(
            [3000, 30_000],
            [ReadingTime::ofMs('Mind the gap'), ReadingTime::ofMs(str_repeat('word ', 50))],
        );
    }

    private static function set(string $text, TextMode $mode, int $size, Size $box, int $least = 1): SetText
    {
        return TextSetter::set($text, (new TestFonts())->face('Roboto', 400), $mode, $size, $least, $box, 1200);
    }
}
