<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;

/** A small WebP of a picture or of a video's first second, in its true ratio. */
final readonly class Thumbnailer
{
    public const LONGEST_SIDE_PX = 480;

    public function __construct(private OutsideProgram $program)
    {
    }

    /**
     * @return string the bytes of the WebP
     *
     * @throws Refusal `stock.damaged`
     */
    public function make(string $source, string $mime): string
    {
        $side = self::LONGEST_SIDE_PX;
        $scale = "scale=w='min(iw*sar,$side)':h='min(ih,$side)':".
            'force_original_aspect_ratio=decrease:force_divisible_by=1,setsar=1';
        $webp = $this->program->output(
            [
                'ffmpeg',
                '-nostdin',
                '-threads',
                '2',
                ...str_starts_with($mime, 'video/') ? ['-ss', '0.5'] : [],
                ...MediaProbe::reading($source, $mime),
                '-frames:v',
                '1',
                '-vf',
                $scale,
                '-c:v',
                'libwebp',
                '-quality',
                '82',
                '-f',
                'webp',
                'pipe:1',
            ],
            120,
        );

        return $webp === null || $webp === '' ? throw Refusal::because('stock.damaged', '/file') : $webp;
    }
}
