<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\File;

use UpperPane\Core\Base\Refusal;

/** What a font file says of itself: its family and weight, and whether it may be embedded. */
final readonly class FontFacts
{
    private const UNICODE = 3;
    private const FAMILY_NAMES = [16, 1];
    private const ENGLISH = 0x0409;
    private const ITALIC = 1;
    private const LONGEST = 80;
    /** OS/2 fsType, of the bits that exclude each other (ISO/IEC 14496-22 §5.2.8). */
    private const EMBEDDING = [2 => 'restricted', 4 => 'preview', 8 => 'editable'];

    private function __construct(
        public string $family,
        public int $weight,
        public string $embedding,
        public int $glyphs,
    ) {
    }

    /** @throws Refusal `stock.font_broken`, `stock.font_unnamed` */
    public static function of(string $bytes): self
    {
        try {
            $tables = FontReader::tables($bytes);
            $file = FontFile::ofBytes($bytes);
            FontCheck::of($file);
            $os2 = $file->need('OS/2', 78);
            [$weight, $type, $selection] = [$file->u16($os2 + 4), $file->u16($os2 + 8), $file->u16($os2 + 62)];
            $family = self::name($file, $bytes);
        } catch (\Throwable) {
            throw Refusal::because('stock.font_broken', '/file');
        }
        if ($family === '' || $tables['glyphs'] === []) {
            throw Refusal::because('stock.font_unnamed', '/file');
        }

        return new self(
            mb_substr($family, 0, self::LONGEST).(($selection & self::ITALIC) === 0 ? '' : ' Italic'),
            min(900, max(100, $weight)),
            self::EMBEDDING[$type & 0xF] ?? 'installable',
            count($tables['glyphs']),
        );
    }

    /** The typographic family, else the family, in English where there is one (§5.2.6). */
    private static function name(FontFile $file, string $bytes): string
    {
        $table = $file->need('name', 6);
        $texts = $table + $file->u16($table + 4);
        $names = [];
        for ($index = 0, $count = $file->u16($table + 2); $index < $count; ++$index) {
            $at = $table + 6 + 12 * $index;
            $rank = array_search($file->u16($at + 6), self::FAMILY_NAMES, true);
            if ($rank !== false && $file->u16($at) === self::UNICODE) {
                $text = substr($bytes, $texts + $file->u16($at + 10), $file->u16($at + 8));
                $names[2 * $rank + ($file->u16($at + 4) === self::ENGLISH ? 0 : 1)] = $text;
            }
        }
        ksort($names);
        $name = mb_convert_encoding(array_values($names)[0] ?? '', 'UTF-8', 'UTF-16BE');

        return trim((string) preg_replace('/[\p{C}\s]+/u', ' ', $name));
    }

    /** @return array{family: string, weight: int, embedding: string, glyphs: int} */
    public function toArray(): array
    {
        return [
            'family' => $this->family,
            'weight' => $this->weight,
            'embedding' => $this->embedding,
            'glyphs' => $this->glyphs,
        ];
    }
}
