<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use Symfony\Component\Process\Process;

/** Files to drop: made afresh, so that tests never share the Stock's bytes. */
final class Files
{
    public static function picture(string $name, int $width, int $height): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        imagefilledrectangle(
            $image,
            0,
            0,
            $width,
            $height,
            (int) imagecolorallocate($image, random_int(0, 255), random_int(0, 255), random_int(0, 255)),
        );
        imagestring($image, 5, 10, 10, bin2hex(random_bytes(6)), (int) imagecolorallocate($image, 255, 255, 255));
        $path = self::path($name);
        str_ends_with($name, '.png') ? imagepng($image, $path) : imagejpeg($image, $path, 90);

        return $path;
    }

    public static function video(string $name, int $seconds = 6, string $size = '320x180'): string
    {
        $path = self::path($name);
        (new Process([
            'ffmpeg',
            '-v',
            'error',
            '-y',
            '-f',
            'lavfi',
            '-i',
            "testsrc2=size=$size:rate=10:duration=$seconds",
            '-metadata',
            'title='.bin2hex(random_bytes(6)),
            '-c:v',
            'libx264',
            '-preset',
            'ultrafast',
            '-g',
            '10',
            '-pix_fmt',
            'yuv420p',
            $path,
        ]))->mustRun();

        return $path;
    }

    public static function bytes(string $name, string $bytes): string
    {
        file_put_contents(self::path($name), $bytes);

        return self::path($name);
    }

    public static function path(string $name): string
    {
        $folder = sys_get_temp_dir().'/pane-files-'.getmypid();
        if (!is_dir($folder)) {
            mkdir($folder);
            register_shutdown_function(static fn () => (new Process(['rm', '-rf', $folder]))->run());
        }

        return "$folder/$name";
    }
}
