<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\LightGrid;

/** How light a medium is: a picture by its thumbnail, which is ours and upright, a video about once a second. */
final readonly class LightReader
{
    private const SECOND_MS = 1000;

    public function __construct(private OutsideProgram $program)
    {
    }

    /** @return ?LightGrid null where nothing could be read: then nobody says anything of what lies over it */
    public function read(string $path, string $mime, Size $shown, ?int $durationMs, string $thumbnail): ?LightGrid
    {
        return $durationMs === null
            ? self::picture($thumbnail)
            : $this->video($path, $mime, $shown, $durationMs);
    }

    private static function picture(string $thumbnail): ?LightGrid
    {
        $picture = @imagecreatefromstring($thumbnail);
        if ($picture === false) {
            return null;
        }
        $cells = self::cells(Size::of(imagesx($picture), imagesy($picture)), LightGrid::PICTURE_CELLS);
        $small = imagecreatetruecolor($cells->width, $cells->height);
        imagealphablending($small, false);
        imagecopyresampled(
            $small,
            $picture,
            ...[0, 0, 0, 0],
            ...$cells->toArray(),
            ...[imagesx($picture), imagesy($picture)],
        );
        $pixels = '';
        for ($y = 0; $y < $cells->height; ++$y) {
            for ($x = 0; $x < $cells->width; ++$x) {
                $argb = (int) imagecolorat($small, $x, $y);
                // GD keeps 7 bits of how much is seen through.
                $pixels .= pack('C4', $argb >> 16, $argb >> 8, $argb, 255 - 2 * ($argb >> 24 & 0x7F));
            }
        }

        return LightGrid::ofPixels($cells, $pixels);
    }

    private function video(string $path, string $mime, Size $shown, int $durationMs): ?LightGrid
    {
        $cells = self::cells($shown, LightGrid::VIDEO_CELLS);
        $everyMs = max(self::SECOND_MS, intdiv($durationMs, LightGrid::MOST_STEPS) + 1);
        $scale = "scale={$cells->width}:{$cells->height}:flags=area";
        $pixels = (string) $this->program->output(
            [
                ...['ffmpeg', '-nostdin', '-threads', '2', ...MediaProbe::reading($path, $mime)],
                ...['-map', '0:v:0', '-vf', "fps=1000/$everyMs,$scale,format=rgba"],
                ...['-f', 'rawvideo', 'pipe:1'],
            ],
            600,
        );

        return $pixels === '' || strlen($pixels) % (4 * $cells->area()) !== 0
            ? null
            : LightGrid::ofPixels($cells, $pixels);
    }

    private static function cells(Size $shown, int $most): Size
    {
        $longer = max($shown->width, $shown->height);
        $side = static fn (int $px) => max(1, Rational::of($px * min($most, $longer), $longer)->round());

        return Size::of($side($shown->width), $side($shown->height));
    }
}
