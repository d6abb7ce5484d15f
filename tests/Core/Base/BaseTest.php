<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Base;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\CanonicalJson;
use UpperPane\Core\Base\Catalogue;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

final class BaseTest extends TestCase
{
    /** The sorting example of RFC 8785 §3.2.3 (its values are kept, being text). */
    public function testSortsKeysByUtf16CodeUnits(): void
    {
        $value = [
            '€' => 'Euro Sign',
            "\r" => 'Carriage Return',
            "\u{fb33}" => 'Hebrew Letter Dalet With Dagesh',
            '1' => 'One',
            "\u{1f600}" => 'Emoji: Grinning Face',
            "\u{80}" => 'Control',
            'ö' => 'Latin Small Letter O With Diaeresis',
        ];

        preg_match_all('/:"([^"]+)"/', CanonicalJson::encode($value), $order);

        self::assertSame(
            [
                'Carriage Return',
                'One',
                'Control',
                'Latin Small Letter O With Diaeresis',
                'Euro Sign',
                'Emoji: Grinning Face',
                'Hebrew Letter Dalet With Dagesh',
            ],
            $order[1],
        );
    }

    public function testHoldsNoFloats(): void
    {
        $this->expectException(\LogicException::class);
        CanonicalJson::encode(['a' => 1.5]);
    }

    /** The pointer escapes of RFC 6901 §3. */
    public function testNamesThePlaceOfAnUnknownKeyAsAPointer(): void
    {
        try {
            Input::of(['a' => ['x/y~z' => 1]])
                ->child('a')
                ->keys([]);
            self::fail('An unknown key went through.');
        } catch (Refusal $refusal) {
            self::assertSame('/a/x~1y~0z', $refusal->path);
        }
    }

    /** 2000, 2000.0 and 2e3 are one number (RFC 8259 §6), and what is kept of them is the integer. */
    public function testAWholeNumberIsOneHoweverItIsWritten(): void
    {
        foreach (['2000', '2000.0', '2e3', '20.0e2'] as $written) {
            $input = Input::json(json_decode("{\"n\":$written,\"list\":[$written,1.5]}"));
            self::assertSame(2000, $input->int('n', 0, 9000));
            self::assertSame(['n' => 2000, 'list' => [2000, 1.5]], $input->raw());
            self::assertSame(2000, $input->choice('n', [2000]));
        }
        foreach (['2000.5', '1e400', '"2000"'] as $other) {
            try {
                Input::json(json_decode("{\"n\":$other}"))->int('n', 0, 9000);
                self::fail("$other went through");
            } catch (Refusal $refusal) {
                self::assertSame('input.type', $refusal->refusalCode);
            }
        }
    }

    /** Every code that the code names has words, and every word is used. */
    public function testHasWordsForEveryCodeAndNoOthers(): void
    {
        $root = \dirname(__DIR__, 3);
        $used = [];
        $files = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator("$root/core", \FilesystemIterator::SKIP_DOTS),
        );
        $sources = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator("$root/src", \FilesystemIterator::SKIP_DOTS),
        );
        foreach ([...$files, ...$sources] as $file) {
            if ($file->getFilename() !== 'catalogue.en.php') {
                preg_match_all(
                    "/(?:because\\(\\s*|Finding::of\\(\\s*|->finding\\(\\s*|return \\[|Catalogue::message\\(\\s*|response\\([^()']*|[?:] |=> \\[\\s*|Exception\\(\\s*)'([a-z_]+\\.[a-z_]+)'/",
                    (string) file_get_contents($file->getPathname()),
                    $found,
                );
                $used = [...$used, ...$found[1]];
            }
        }
        $known = Catalogue::codes();

        self::assertSame([], array_values(array_diff(array_unique($used), $known)), 'codes without words');
        self::assertSame(
            [],
            array_values(array_diff($known, $used, ['media.missing', 'session.wrong', 'stock.earlier'])),
            'words without code',
        );
    }

    /** Each folder's README says of every type in it what it is. */
    public function testReadmesNameEveryType(): void
    {
        $core = \dirname(__DIR__, 3).'/core';
        foreach (glob("$core/*", \GLOB_ONLYDIR) ?: [] as $folder) {
            $readme = (string) file_get_contents("$folder/README.md");
            foreach ([...glob("$folder/*.php") ?: [], ...glob("$folder/*/*.php") ?: []] as $file) {
                $name = basename($file, '.php');
                if (!str_contains($name, '.')) {
                    self::assertMatchesRegularExpression(
                        "/\\b$name\\b/",
                        $readme,
                        basename($folder)." does not say what $name is",
                    );
                }
            }
        }
    }
}
