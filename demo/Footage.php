<?php

declare(strict_types=1);

namespace UpperPane\Demo;

use Symfony\Component\Process\Process;

/** Makes the demo's clips: a picture that stands, and what moves over it, put together by ffmpeg. */
final class Footage
{
    private const RATE = 12;

    /** The ferry on its way to Ness, rocking. */
    public static function crossing(string $path, int $width, int $height, int $seconds): void
    {
        self::made($path, $seconds, static function (string $folder) use ($width, $height, $seconds): array {
            $side = intdiv($height, 2);
            Motifs::open("$folder/still.png", $width, $height);
            Motifs::sprite("$folder/moves.png", false, $side);
            $y = intdiv($height * 68, 100) - intdiv($side * 4, 5);

            return ["overlay=x='-$side+t*($width+$side)/$seconds':y='$y+4*sin(2*PI*t/3)'"];
        });
    }

    /** Lanterns that drift by, one after another. */
    public static function lanterns(string $path, int $width, int $height, int $seconds): void
    {
        self::made($path, $seconds, static function (string $folder) use ($width, $height, $seconds): array {
            $side = intdiv($height, 3);
            Motifs::underPier("$folder/still.png", $width, $height);
            Motifs::sprite("$folder/moves.png", true, $side);
            $over = [];
            foreach ([[0.05, 0.5, 1], [0.3, 0.62, 2], [0.55, 0.44, 3], [0.75, 0.56, 1]] as [$x, $y, $phase]) {
                $left = (int) ($x * $width);
                $top = (int) ($y * $height);
                $over[] = "overlay=x='$left+t*$width/(4*$seconds)':y='$top+5*sin(2*PI*(t/3+$phase/4))'";
            }

            return $over;
        });
    }

    /**
     * @param \Closure(string): list<string> $draw into a folder; how what moves lies over what stands, once or more
     */
    private static function made(string $path, int $seconds, \Closure $draw): void
    {
        $folder = sys_get_temp_dir().'/film-'.bin2hex(random_bytes(4));
        mkdir($folder);
        // Each is read once and stands for every picture of the film.
        $stays = 'loop=-1:1:0,setpts=N/'.self::RATE.'/TB';
        $graph = "[0:v]$stays".'[o0];';
        $count = 0;
        foreach ($draw($folder) as $overlay) {
            $graph .= "[1:v]{$stays}[m$count];[o$count][m$count]{$overlay}[o".++$count.'];';
        }
        $graph .= "[o$count]format=yuv420p[v]";
        $codec = str_ends_with($path, '.webm')
            ? [
                ...['-c:v', 'libvpx-vp9', '-b:v', '0', '-crf', '36', '-row-mt', '1'],
                ...['-cpu-used', '8', '-deadline', 'realtime'],
            ]
            : ['-c:v', 'libx264', '-preset', 'veryfast', '-crf', '24', '-movflags', '+faststart'];
        (new Process([
            ...['ffmpeg', '-v', 'error', '-y', '-i', "$folder/still.png", '-i', "$folder/moves.png"],
            ...['-filter_complex', $graph],
            ...['-map', '[v]', '-r', (string) self::RATE, ...$codec, '-t', (string) $seconds, $path],
        ]))
            ->setTimeout(300)
            ->mustRun();
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
    }
}
