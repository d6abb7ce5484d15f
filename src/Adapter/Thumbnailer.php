<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Symfony\Component\Process\Process;
use UpperPane\Core\Base\Refusal;

/** A small WebP of a picture or of a video's first second, in its true ratio. */
final class Thumbnailer
{
    public const LONGEST_SIDE_PX = 480;

    public function make(string $source, string $target, bool $video): void
    {
        $side = self::LONGEST_SIDE_PX;
        $scale = "scale=w='min(iw*sar,$side)':h='min(ih,$side)':".
            'force_original_aspect_ratio=decrease:force_divisible_by=1,setsar=1';
        $make = new Process([
            'ffmpeg',
            '-v',
            'error',
            '-y',
            ...$video ? ['-ss', '0.5'] : [],
            '-i',
            $source,
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
            $target,
        ]);
        $make->setTimeout(120)->run();
        if (!$make->isSuccessful() || !is_file($target) || filesize($target) === 0) {
            throw Refusal::because('stock.unreadable', '/file', ['why' => 'no thumbnail could be made of it']);
        }
    }
}
