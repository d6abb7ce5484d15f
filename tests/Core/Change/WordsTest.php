<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Change;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Base\Json;

/** A history speaks in words: no command, of whatever kind of document, is without. */
final class WordsTest extends TestCase
{
    public function testEveryCommandHasItsWords(): void
    {
        $root = \dirname(__DIR__, 3);
        $words = json_decode((string) file_get_contents("$root/frontend/src/i18n/en.json"), true)['done'];
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("$root/core"));
        $known = $without = [];
        foreach ($files as $file) {
            $code = $file->getExtension() === 'php' ? (string) file_get_contents($file->getPathname()) : '';
            $isCommand = preg_match('/implements (Design)?Command\b/', $code) === 1;
            preg_match_all("/const \\w+ = '([a-z]+\\.[a-z_]+)'/", $isCommand ? $code : '', $names);
            foreach ($names[1] as $name) {
                $known[] = $name;
                isset($words[str_replace('.', '-', $name)]) || $without[] = $name;
            }
        }

        self::assertGreaterThan(60, count($known));
        self::assertSame([], $without);
    }

    /** Of two words under one key the later one takes the earlier one's place unseen. */
    public function testNoWordsAreUnderOneKey(): void
    {
        foreach (['i18n/en.json', 'player/words.en.json'] as $file) {
            $text = (string) file_get_contents(\dirname(__DIR__, 3)."/frontend/src/$file");
            $strict = json_decode((string) json_encode(Json::decode($text)->raw()), true);
            self::assertEquals(json_decode($text, true), $strict);
        }
    }
}
