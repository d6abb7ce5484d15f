<?php

declare(strict_types=1);

namespace UpperPane\Demo;

use Symfony\Component\Process\Process;

/** Makes the demo's clips: frames drawn by the brush, put together by ffmpeg. */
final class Footage
{
    /** A ferry crossing the lake. */
    public static function crossing(string $path, int $width, int $height, int $seconds, int $hour): void
    {
        $folder = sys_get_temp_dir().'/crossing-'.bin2hex(random_bytes(4));
        mkdir($folder);
        $frames = $seconds * 4;
        for ($i = 0; $i < $frames; ++$i) {
            Brush::lake(sprintf('%s/%04d.jpg', $folder, $i), $width, $height, $hour, -200 + intdiv(1100 * $i, $frames));
        }
        $codec = str_ends_with($path, '.webm')
            ? [
                '-c:v',
                'libvpx-vp9',
                '-b:v',
                '0',
                '-crf',
                '38',
                '-row-mt',
                '1',
                '-cpu-used',
                '8',
                '-deadline',
                'realtime',
            ]
            : ['-c:v', 'libx264', '-preset', 'veryfast', '-crf', '24', '-movflags', '+faststart'];
        (new Process([
            'ffmpeg',
            '-v',
            'error',
            '-y',
            '-framerate',
            '4',
            '-i',
            "$folder/%04d.jpg",
            '-vf',
            'framerate=12',
            '-pix_fmt',
            'yuv420p',
            ...$codec,
            '-t',
            (string) $seconds,
            $path,
        ]))
            ->setTimeout(300)
            ->mustRun();
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
    }
}
