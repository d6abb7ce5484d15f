<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;

/** What a file is, by its first bytes and never by its name. */
final class FileKind
{
    /** Other names for the same, as libmagic of Debian 12 gives them. */
    private const NAMED_ELSE = [
        'image/x-ms-bmp' => 'image/bmp',
        'font/sfnt' => 'font/ttf',
        'application/vnd.ms-opentype' => 'font/otf',
        'application/x-font-ttf' => 'font/ttf',
    ];
    /** Bytes of a packet of a transport stream, each of which begins with 0x47 (ISO/IEC 13818-1 §2.4.3). */
    private const PACKET = 188;
    private const PACKETS = 5;

    public static function of(string $path): string
    {
        $mime = (string) (new \finfo(\FILEINFO_MIME_TYPE))->file($path);

        return match (true) {
            $mime === 'image/png' && MediaProbe::isMovingPng($path) => 'image/apng',
            $mime === 'application/octet-stream' && self::isTransportStream($path) => 'video/mp2t',
            default => self::NAMED_ELSE[$mime] ?? $mime,
        };
    }

    /**
     * @param array<string, string> $known kinds by media type
     *
     * @throws Refusal `stock.type`
     */
    public static function demand(string $path, string $name, array $known): string
    {
        $mime = self::of($path);

        return isset($known[$mime])
            ? $mime
            : throw Refusal::because('stock.type', '/file', [
                'name' => $name,
                'mime' => $mime,
                'known' => array_values($known),
            ]);
    }

    private static function isTransportStream(string $path): bool
    {
        $head = (string) file_get_contents($path, length: self::PACKETS * self::PACKET);
        $marks = array_map(static fn (string $packet) => $packet[0], str_split($head, self::PACKET));

        return strlen($head) === self::PACKETS * self::PACKET && array_unique($marks) === ["\x47"];
    }
}
