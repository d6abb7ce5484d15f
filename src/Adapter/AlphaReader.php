<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Size;

/** The alpha of a PNG or WebP, a byte for each px, decoded by ffmpeg: GD keeps seven bits of it. */
final readonly class AlphaReader
{
    private const FORMATS = ["\x89PNG\r\n\x1A\n" => 'png_pipe', 'RIFF' => 'webp_pipe'];
    private const MOST_PX = 100_000_000;

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
        if ($width > Size::LARGEST_PX || $height > Size::LARGEST_PX || $width * $height > self::MOST_PX) {
            throw Refusal::because('cutout.too_large', '', [
                'width' => $width,
                'height' => $height,
                'most' => self::MOST_PX,
            ]);
        }
        $alpha = $this->program->output(
            [
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
}
