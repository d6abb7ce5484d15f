<?php

declare(strict_types=1);

namespace UpperPane\Tests\Outside;

use Facebook\WebDriver\Remote\RemoteWebDriver;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use UpperPane\App\Adapter\MediaProbe;
use UpperPane\App\Adapter\OutsideProgram;
use UpperPane\App\Adapter\Pulse;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Picture\Fit;
use UpperPane\Core\Picture\FitMode;
use UpperPane\Core\Text\File\FontFile;
use UpperPane\Core\Text\File\FontReader;
use UpperPane\Core\Text\FontFace;
use UpperPane\Tests\Support\Chromium;
use UpperPane\Tests\Support\Files;
use UpperPane\Tests\Support\TestFonts;
use UpperPane\Tests\Support\TinyFont;

/** The core's answers against programs that know nothing of it: Chromium, HarfBuzz, exiftool. */
final class OutsideTest extends TestCase
{
    /** So many of the strings are exact in faces that have only some scripts; the others are made for other scripts. */
    private const FEW = ['Amiri' => 150, 'EB Garamond' => 90, 'Droid Sans Fallback' => 0, 'Noto Sans Hebrew' => 0];

    /** @return iterable<string, array{string, int}> every face that the app serves */
    public static function faces(): iterable
    {
        foreach (TestFonts::all() as $family => ['faces' => $faces]) {
            foreach (array_keys($faces) as $weight) {
                yield "$family $weight" => [$family, $weight];
            }
        }
    }

    /**
     * Of 300 strings, those called exact equal HarfBuzz (hb-shape) to the unit where they are of one script, and
     * Chromium's DOM to its 64th of a px in any case; all are within 1 % where the face has the characters.
     */
    #[DataProvider('faces')]
    public function testTextWidthsAgreeWithHarfBuzzAndChromium(string $family, int $weight): void
    {
        $strings = self::strings();
        self::assertCount(300, $strings);
        $face = (new TestFonts())->face($family, $weight);
        $path = TestFonts::path($family, $weight);
        $shaped = array_map(
            static fn (string $line) => array_sum(array_column((array) json_decode($line, true), 'ax')),
            self::shape($path, $strings, self::hasOldKerning($path) ? ['--features=-kern'] : []),
        );
        $widths = self::drawn($path, $strings);
        $exact = 0;
        foreach ($strings as $index => $text) {
            if (!$face->measures($text)) {
                continue;
            }
            ++$exact;
            if (self::isOfOneScript($text)) {
                self::assertSame($shaped[$index], $face->widthUnits($text), "$text, hb-shape");
            }
            $px = $face->widthPx($text, 100)->decimal(3);
            self::assertEqualsWithDelta($widths[$index], $px, 0.02, "$text, Chromium");
        }
        self::assertGreaterThanOrEqual(self::FEW[$family] ?? 170, $exact, 'enough of them');
    }

    /** A `kern` table beside no GPOS kerning is read by HarfBuzz and passed over by Chromium. */
    private static function hasOldKerning(string $path): bool
    {
        $file = FontFile::ofBytes((string) file_get_contents($path));

        return isset($file->tables['kern'])
            && array_column(FontReader::tables((string) file_get_contents($path))['positioning'], 'kern') === [];
    }

    /** Letters set apart by a tenth of their size: no ligatures, and room behind each but the last, as in Chromium. */
    public function testLettersSetApartAreAsWideAsInChromium(): void
    {
        foreach ([['Roboto', 400], ['Inter', 700], ['EB Garamond', 400], ['Vollkorn', 900]] as [$family, $weight]) {
            $face = (new TestFonts())->face($family, $weight)->spaced(100);
            $strings = array_values(array_filter(self::strings(), $face->measures(...)));
            $widths = self::drawn(TestFonts::path($family, $weight), $strings, '0.1em');
            foreach ($strings as $index => $text) {
                $px = $face->widthPx($text, 100)->decimal(3) + 10;
                self::assertEqualsWithDelta($widths[$index], $px, 0.02, "$family $weight: $text");
            }
        }
    }

    /**
     * @param list<string> $strings
     *
     * @return list<float> px at 100 px
     */
    private static function drawn(string $path, array $strings, string $spacing = 'normal'): array
    {
        return self::browser()->executeAsyncScript(
            <<<'JS'
            const [data, strings, spacing, done] = arguments
            const bytes = Uint8Array.from(atob(data), (c) => c.charCodeAt(0))
            new FontFace('probe', bytes).load().then((face) => {
              document.fonts.clear(); document.fonts.add(face)
              const span = document.body.appendChild(document.createElement('span'))
              span.style.cssText = 'font: 100px probe; white-space: pre; position: absolute'
              span.style.letterSpacing = spacing
              done(strings.map((text) => { span.textContent = text; return span.getBoundingClientRect().width }))
            })
            JS
            ,
            [base64_encode((string) file_get_contents($path)), $strings, $spacing],
        );
    }

    private static function isOfOneScript(string $text): bool
    {
        return count(array_filter(
            ['Latin', 'Greek', 'Cyrillic'],
            static fn (string $script) => preg_match("/\\p{{$script}}/u", $text) === 1,
        )) <= 1;
    }

    private static ?RemoteWebDriver $browser = null;

    private static function browser(): RemoteWebDriver
    {
        if (self::$browser === null) {
            self::$browser = Chromium::open();
            self::$browser->get('data:text/html,<body></body>');
        }

        return self::$browser;
    }

    public static function tearDownAfterClass(): void
    {
        self::$browser?->quit();
        self::$browser = null;
    }

    /**
     * Chromium's grid with minmax(0, Nfr), and its object-fit and object-position, read from the drawn picture.
     */
    public function testGridSharesAndObjectFitAgreeWithChromium(): void
    {
        $browser = Chromium::open();
        $browser->get('data:text/html,<body></body>');
        try {
            foreach (
                [
                    [1366, 0, [1, 1, 1]],
                    [1000, 10, [1, 2]],
                    [1919, 7, [3, 5, 7, 11]],
                    [777, 1, [13, 1, 1]],
                ] as [$length, $gutter, $shares]
            ) {
                $widths = $browser->executeScript(
                    <<<'JS'
                    const [length, gutter, shares] = arguments
                    const grid = document.body.appendChild(document.createElement('div'))
                    grid.style.cssText = `display: grid; width: ${length}px; column-gap: ${gutter}px; grid-template-columns: ${shares.map((n) => `minmax(0, ${n}fr)`).join(' ')}`
                    grid.innerHTML = shares.map(() => '<i></i>').join('')
                    return [...grid.children].map((e) => e.getBoundingClientRect().width)
                    JS
                    ,
                    [$length, $gutter, $shares],
                );
                $parts = array_map(
                    static fn (int $i) => ['size' => $shares[$i].'fr', 'pane' => "p$i"],
                    array_keys($shares),
                );
                $glazing = Glazing::resolve(
                    GlazingReader::read(Input::of(['split' => 'columns', 'gutter' => $gutter, 'parts' => $parts])),
                    Size::of($length, 5),
                );
                foreach (
                    array_values(array_map(static fn (Rect $rect) => $rect->width, $glazing->panes)) as $index => $px
                ) {
                    self::assertEqualsWithDelta($widths[$index], $px, 1.0);
                }
            }
            foreach ([[1920, 1080], [1080, 1920], [100, 50]] as [$width, $height]) {
                foreach (FitMode::cases() as $mode) {
                    foreach ([[50, 50], [0, 100], [20, 75]] as $focus) {
                        $this->assertFitsLikeChromium($browser, Size::of($width, $height), $mode, $focus);
                        $this->assertFitsLikeChromium(
                            $browser,
                            Size::of($width, $height),
                            $mode,
                            $focus,
                            Rect::of($width / 10, $height / 5, $width / 2, (7 * $height) / 10),
                        );
                    }
                }
            }
        } finally {
            $browser->quit();
        }
    }

    /** A turned video in Chromium; EXIF orientation written by exiftool. */
    public function testMediaFactsAgreeWithChromiumAndExif(): void
    {
        $video = Files::video('plain.mp4', 3, '640x360');
        $turned = dirname($video).'/turned.mp4';
        (new Process([
            'ffmpeg',
            '-v',
            'error',
            '-y',
            '-display_rotation',
            '90',
            '-i',
            $video,
            '-c',
            'copy',
            $turned,
        ]))->run();
        is_file($turned)
            || (new Process([
                'ffmpeg',
                '-v',
                'error',
                '-y',
                '-i',
                $video,
                '-c',
                'copy',
                '-metadata:s:v',
                'rotate=90',
                $turned,
            ]))->mustRun();
        $probe = new MediaProbe(new OutsideProgram(new Pulse()));
        $facts = $probe->look($turned, 'video/mp4');
        $browser = Chromium::open();
        $browser->get('data:text/html,<video muted></video>');
        try {
            $seen = $browser->executeAsyncScript(
                <<<'JS'
                const [data, done] = arguments
                const video = document.querySelector('video')
                video.onloadedmetadata = () => done([video.videoWidth, video.videoHeight, Math.round(video.duration * 1000)])
                video.src = 'data:video/mp4;base64,' + data
                JS
                ,
                [base64_encode((string) file_get_contents($turned))],
            );
        } finally {
            $browser->quit();
        }
        self::assertSame([360, 640, 3000], $seen, 'as it was made: 3 s of 640 × 360, turned by a quarter');
        self::assertSame($seen, [...$facts['size']->toArray(), $facts['duration_ms']]);

        $picture = Files::picture('orient.jpg', 400, 300);
        foreach ([1 => [400, 300], 3 => [400, 300], 6 => [300, 400], 8 => [300, 400]] as $orientation => $size) {
            (new Process([
                'exiftool',
                '-q',
                '-overwrite_original',
                '-n',
                "-Orientation=$orientation",
                $picture,
            ]))->mustRun();
            self::assertSame(
                $size,
                $probe->look($picture, 'image/jpeg')['size']->toArray(),
                "orientation $orientation",
            );
        }
    }

    /**
     * The picture says by its colours where on it one is: red grows from left to right, green from top to bottom, and
     * blue is full only beside it.
     *
     * @param array{int, int} $focus in percent
     * @param ?Rect           $part  in px: what CSS Images 4 §5.7 calls object-view-box
     */
    private function assertFitsLikeChromium(
        RemoteWebDriver $browser,
        Size $source,
        FitMode $mode,
        array $focus,
        ?Rect $part = null,
    ): void {
        $css = $mode === FitMode::Stretch ? 'fill' : $mode->value;
        $browser->executeAsyncScript(
            <<<'JS'
            const [width, height, fit, focus, part, done] = arguments
            const canvas = document.createElement('canvas')
            Object.assign(canvas, { width, height })
            const pen = canvas.getContext('2d')
            const data = pen.createImageData(width, height)
            for (let y = 0; y < height; y++)
              for (let x = 0; x < width; x++)
                data.data.set([(x * 256) / width, (y * 256) / height, 0, 255], 4 * (y * width + x))
            pen.putImageData(data, 0, 0)
            const image = new Image()
            image.style.cssText = `position: absolute; left: 0; top: 0; width: 800px; height: 600px; background: #00f; object-fit: ${fit}; object-position: ${focus[0]}% ${focus[1]}%`
            const inset = part && [part[1], width - part[0] - part[2], height - part[1] - part[3], part[0]]
            if (part) image.style.objectViewBox = `inset(${inset.map((px) => `${px}px`).join(' ')})`
            image.onload = () => requestAnimationFrame(() => requestAnimationFrame(() => done()))
            document.body.replaceChildren(image)
            image.src = canvas.toDataURL()
            JS
            ,
            [$source->width, $source->height, $css, $focus, $part?->toArray()],
        );
        $path = sys_get_temp_dir().'/fit-'.getmypid().'.png';
        $browser->takeScreenshot($path);
        $shot = imagecreatefrompng($path) ?: self::fail('no picture');
        unlink($path);
        $how = [Size::of(800, 600), $mode, 1000 * $focus[0], 1000 * $focus[1]];
        $fit = ($part === null ? Fit::of($source, ...$how) : Fit::ofPart($source, $part, ...$how))->toArray();
        [$left, $top, $right, $bottom] = $fit['bars'];
        $on = static fn (int $x, int $y): bool => (imagecolorat($shot, $x, $y) & 0xFF) < 128;
        $middle = [(int) ((800 + $left - $right) / 2), (int) ((600 + $top - $bottom) / 2)];
        $across = array_filter(range(0, 799), static fn (int $x) => $on($x, $middle[1]));
        $down = array_filter(range(0, 599), static fn (int $y) => $on($middle[0], $y));
        $whole = $part === null ? '' : 'a part of ';
        $what = "$whole{$source->width} × {$source->height} $css at {$focus[0]} % {$focus[1]} %";
        // What lies beside the part is seen in Chromium's bars; ours are bare.
        if ($part === null) {
            self::assertEqualsWithDelta(
                [$left, 800 - $right, $top, 600 - $bottom],
                [min($across), max($across) + 1, min($down), max($down) + 1],
                1.0,
                $what,
            );
        }
        // One px of the picture may be several colours; two more for the drawing's smoothing.
        [$seenX, $seenY, $seenWidth, $seenHeight] = $fit['visible'];
        foreach ([[0.1, 0.1], [0.5, 0.5], [0.9, 0.2]] as [$x, $y]) {
            $colour = imagecolorat(
                $shot,
                (int) ($left + $x * (800 - $left - $right)),
                (int) ($top + $y * (600 - $top - $bottom)),
            );
            foreach (
                [
                    [($seenX + $x * $seenWidth) / $source->width, $colour >> 16, $source->width],
                    [($seenY + $y * $seenHeight) / $source->height, $colour >> 8, $source->height],
                ] as [$expected, $seen, $px]
            ) {
                self::assertEqualsWithDelta(256 * $expected, $seen & 0xFF, 2 + 256 / $px, "$what: at $x, $y");
            }
        }
    }

    /**
     * The font that was laid out by hand, in each way of writing it: HarfBuzz reads the same out of it, for strings of
     * all its letters.
     */
    public function testEveryWayOfWritingAFontIsReadAsHarfBuzzDoes(): void
    {
        $random = new Randomizer(new Mt19937(12));
        $strings = ['AVATo', 'ffi', 'fiV', 'xAgA'];
        for ($i = 0; $i < 60; ++$i) {
            $strings[] = implode('', array_map(static fn () => 'ATVfiox'[$random->getInt(0, 6)], range(0, 8)));
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'tiny');
        foreach (TinyFont::all() as $name => $font) {
            file_put_contents($file, $font->bytes());
            $face = FontFace::ofTables('Tiny', 400, 'tiny.ttf', FontReader::tables($font->bytes()));
            if ($face->measures('AVATo')) {
                self::assertSame(
                    array_map(
                        static fn (string $line) => array_sum(array_column((array) json_decode($line, true), 'ax')),
                        self::shape($file, $strings),
                    ),
                    array_map($face->widthUnits(...), $strings),
                    $name,
                );
            }
        }
        unlink($file);
    }

    /**
     * @param list<string> $strings
     * @param list<string> $options
     *
     * @return list<string>
     */
    private static function shape(string $font, array $strings, array $options = []): array
    {
        $process = new Process(
            ['hb-shape', '--no-glyph-names', '--no-clusters', '-O', 'json', ...$options, $font],
            input: implode("\n", $strings)."\n",
        );
        $process->mustRun();

        return explode("\n", trim($process->getOutput()));
    }

    /**
     * Words of many languages, marks that no composed letter has, digits, punctuation, several scripts in one.
     *
     * @return list<string>
     */
    private static function strings(): array
    {
        return explode("\n", rtrim((string) file_get_contents(\dirname(__DIR__).'/cases/text/strings.txt'), "\n"));
    }
}
