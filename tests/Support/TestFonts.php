<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Text\File\FontReader;
use UpperPane\Core\Text\FontFace;
use UpperPane\Core\Text\Fonts;

/** The app's own faces, read straight from Debian's font files. */
final class TestFonts implements Fonts
{
    /** @var array<string, FontFace> */
    private static array $faces = [];

    public function face(string $family, int $weight): FontFace
    {
        return self::$faces["$family $weight"] ??= FontFace::ofTables(
            $family,
            $weight,
            "$family-$weight.ttf",
            FontReader::tables((string) file_get_contents(self::path($family, $weight))),
        );
    }

    public static function path(string $family, int $weight): string
    {
        $fonts = self::all();

        return $fonts[$family]['faces'][$weight] ??
            throw Refusal::because('text.font_unknown', '/font', [
                'family' => $family,
                'weight' => $weight,
                'known' => array_keys($fonts),
            ]);
    }

    /** @return array<string, array{package: string, faces: array<int, string>}> */
    public static function all(): array
    {
        /** @var array<string, array{package: string, faces: array<int, string>}> */
        return require \dirname(__DIR__, 2).'/config/fonts.php';
    }
}
