<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\AsShown;

/** The alpha of a PNG or WebP, a byte for each px, decoded by ffmpeg: GD keeps seven bits of it. */
final readonly class AlphaReader
{
    private const FORMATS = ["\x89PNG\r\n\x1A\n" => 'png_pipe', 'RIFF' => 'webp_pipe'];

    private const BY_KEY = ['convert-im6.q16', 'png:-', '-alpha', 'extract', '-depth', '8', 'gray:-'];

    public function __construct(private OutsideProgram $program)
    {
    }

    /**
     * @return array{Size, string}
     *
     * @throws Refusal `cutout.no_picture`, `cutout.too_large`
     */
    public function read(string $bytes): array
    {
        $format = null;
        foreach (self::FORMATS as $begins => $name) {
            $format = str_starts_with($bytes, $begins) ? $name : $format;
        }
        $found = $format === null ? false : @getimagesizefromstring($bytes);
        [$width, $height] = $found === false ? [0, 0] : $found;
        if ($width < 1 || $height < 1) {
            throw Refusal::because('cutout.no_picture');
        }
        if ($width > Size::LARGEST_PX || $height > Size::LARGEST_PX || $width * $height > AsShown::MOST_PX) {
            throw Refusal::because('cutout.too_large', '', [
                'width' => $width,
                'height' => $height,
                'most' => AsShown::MOST_PX,
            ]);
        }
        $alpha = $this->program->output(
            self::hasKey($bytes) ? self::BY_KEY : [
                ...['ffmpeg', '-nostdin', '-v', 'error', '-xerror', '-protocol_whitelist', 'pipe'],
                ...['-f', (string) $format, '-i', 'pipe:0', '-frames:v', '1'],
                ...['-vf', 'format=rgba,alphaextract', '-f', 'rawvideo', '-pix_fmt', 'gray', 'pipe:1'],
            ],
            60,
            $bytes,
        );

        return $alpha === null || strlen($alpha) !== $width * $height
            ? throw Refusal::because('cutout.no_picture')
            : [Size::of($width, $height), $alpha];
    }

    /** A PNG without alpha that says which colour is seen through (PNG, third edition §11.3.1.1): ffmpeg does not. */
    private static function hasKey(string $bytes): bool
    {
        $type = ord($bytes[25] ?? "\0");
        $data = strpos($bytes, 'IDAT');

        return str_starts_with($bytes, "\x89PNG") && in_array($type, [0, 2], true)
            && $data !== false && str_contains(substr($bytes, 0, $data), 'tRNS');
    }
}
