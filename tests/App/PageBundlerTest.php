<?php

declare(strict_types=1);

namespace UpperPane\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use UpperPane\App\Adapter\PageBundler;
use UpperPane\Core\Base\Refusal;
use UpperPane\Tests\Support\Files;

/** Pages that come as a ZIP: one file of all, from which everything can be taken out again. */
final class PageBundlerTest extends TestCase
{
    public function testAllThatAPageNamesIsInIt(): void
    {
        $dot = (string) base64_decode('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==');
        $html = (new PageBundler(\dirname(__DIR__, 2)))->bundle(self::zip([
            'tides/index.html' => '<link rel="stylesheet" href="css/main.css"><style>b{background:url(dot.png)}</style>'.
                '<script src="./run.js"></script><img src="/tides/dot.png"><a href="https://example.org/">x</a>'.
                '<img src="../../etc/passwd.png"><img src="missing.png">',
            'tides/css/main.css' => '@import "more.css"; body { background: url("../dot.png") }',
            'tides/css/more.css' => 'p { color: red }',
            'tides/run.js' => 'document.title = "ran"',
            'tides/dot.png' => $dot,
            '../outside.png' => $dot,
        ]));
        $data = static fn (string $type, string $content) => "data:$type;base64,".base64_encode($content);
        $more = $data('text/css', 'p { color: red }');
        $style = "@import \"$more\"; body { background: url(\"{$data('image/png', $dot)}\") }";

        self::assertSame(
            "<link rel=\"stylesheet\" href=\"{$data('text/css', $style)}\">".
                "<style>b{background:url(\"{$data('image/png', $dot)}\")}</style>".
                "<script src=\"{$data('text/javascript', 'document.title = "ran"')}\"></script>".
                "<img src=\"{$data('image/png', $dot)}\"><a href=\"https://example.org/\">x</a>".
                '<img src="../../etc/passwd.png"><img src="missing.png">',
            $html,
        );
    }

    /** Each file once, and one that imports itself as it is: three levels of 300 would be 27 million copies. */
    public function testAStyleThatImportsItselfIsTakenOnce(): void
    {
        $css = str_repeat('@import "a.css";', 300).'b{}';
        $zip = self::zip(['index.html' => '<link rel="stylesheet" href="a.css">', 'a.css' => $css]);
        $root = \dirname(__DIR__, 2);

        self::assertSame(
            '<link rel="stylesheet" href="data:text/css;base64,'.base64_encode($css).'">',
            (new PageBundler($root))->bundled($zip),
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function bad(): iterable
    {
        yield 'no archive' => [Files::bytes('no.zip', 'PK and nothing'), 'stock.page_broken'];
        yield 'no page' => [self::zip(['page.html' => 'x']), 'stock.page_without_index'];
        $bomb = ['index.html' => 'x'] + array_fill_keys(
            array_map(static fn (int $i) => "$i.js", range(1, 7)),
            str_repeat('0', 10 << 20),
        );
        yield 'seventy megabytes in as many kilobytes' => [self::zip($bomb), 'stock.page_too_large'];
        yield 'a style that imports itself 300 times beside a picture named 20,000 times' => [
            self::zip([
                'index.html' => '<link rel="stylesheet" href="a.css"><link rel="stylesheet" href="b.css">',
                'a.css' => str_repeat('@import "a.css";', 300),
                'b.css' => str_repeat('i{background:url(p.png)}', 20_000),
                'p.png' => random_bytes(9000),
            ]),
            'stock.page_too_large',
        ];
        yield 'many files' => [
            self::zip(array_fill_keys(array_map(static fn (int $i) => "$i.js", range(0, 600)), '')),
            'stock.page_too_large',
        ];
    }

    #[DataProvider('bad')]
    public function testWhatIsNoPageIsRefused(string $path, string $code): void
    {
        try {
            (new PageBundler(\dirname(__DIR__, 2)))->bundle($path);
            self::fail('taken');
        } catch (Refusal $refusal) {
            self::assertSame($code, $refusal->refusalCode);
        }
    }

    /** @param array<string, string> $files */
    private static function zip(array $files): string
    {
        $path = Files::path(bin2hex(random_bytes(6)).'.zip');
        $archive = new \ZipArchive();
        $archive->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        foreach ($files as $name => $content) {
            $archive->addFromString($name, $content);
        }
        $archive->close();

        return $path;
    }
}
