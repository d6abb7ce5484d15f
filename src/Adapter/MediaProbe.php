<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use Symfony\Component\Process\Process;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;

/**
 * What a media file really is, by ffprobe and by decoding it: size as shown (EXIF, rotation, pixel ratio), duration.
 */
final class MediaProbe
{
    /** Browsers' textures end here (common practice): a longer side cannot be drawn reliably. */
    public const LONGEST_SIDE_PX = 16_384;

    /**
     * @return array{size: Size, duration_ms: ?int}
     *
     * @throws Refusal `stock.unreadable`, `stock.side_too_long`
     */
    public function look(string $path, string $mime): array
    {
        return str_starts_with($mime, 'video/') ? $this->video($path) : $this->picture($path, $mime);
    }

    /** @return array{size: Size, duration_ms: null} */
    private function picture(string $path, string $mime): array
    {
        $found = @getimagesize($path);
        if ($found === false || $found[0] < 1) {
            throw Refusal::because('stock.unreadable', '/file', ['why' => 'its picture data cannot be found']);
        }
        $size = self::bounded($found[0], $found[1]);
        $exif = $mime === 'image/jpeg' ? @exif_read_data($path) : false;
        $turned = $exif !== false && in_array((int) ($exif['Orientation'] ?? 1), [5, 6, 7, 8], true);
        $this->decode($path);

        return ['size' => $turned ? $size->turned(90) : $size, 'duration_ms' => null];
    }

    /** @return array{size: Size, duration_ms: int} */
    private function video(string $path): array
    {
        $probe = new Process([
            'ffprobe',
            '-v',
            'error',
            '-select_streams',
            'v:0',
            '-show_streams',
            '-show_format',
            '-of',
            'json',
            $path,
        ]);
        $probe->setTimeout(60)->run();
        $facts = json_decode($probe->getOutput(), true);
        $stream = $facts['streams'][0] ?? null;
        $duration = $stream['duration'] ?? ($facts['format']['duration'] ?? null);
        if ($stream === null || $duration === null || (float) $duration <= 0) {
            throw Refusal::because('stock.unreadable', '/file', ['why' => 'no video stream with a duration was found']);
        }
        $size = self::bounded(
            self::squared((int) $stream['width'], (string) ($stream['sample_aspect_ratio'] ?? '1:1')),
            (int) $stream['height'],
        );
        $rotation = (int) ($stream['side_data_list'][0]['rotation'] ?? 0);
        $this->decode($path, ['-t', '1']);

        return [
            'size' => abs($rotation) % 180 === 90 ? $size->turned(90) : $size,
            'duration_ms' => (int) round((float) $duration * 1000),
        ];
    }

    /** Width in square px, as browsers show it. */
    private static function squared(int $width, string $sampleRatio): int
    {
        [$x, $y] = array_map(intval(...), explode(':', $sampleRatio) + [1 => '1']);

        return $x > 0 && $y > 0 ? Rational::of($width * $x, $y)->round() : $width;
    }

    private static function bounded(int $width, int $height): Size
    {
        if (max($width, $height) > self::LONGEST_SIDE_PX) {
            throw Refusal::because('stock.side_too_long', '/file', [
                'width' => $width,
                'height' => $height,
                'most' => self::LONGEST_SIDE_PX,
            ]);
        }

        return Size::of($width, $height);
    }

    /** @param list<string> $limit */
    private function decode(string $path, array $limit = []): void
    {
        $decode = new Process([
            'ffmpeg',
            '-v',
            'error',
            '-xerror',
            '-err_detect',
            'explode',
            '-i',
            $path,
            ...$limit,
            '-f',
            'null',
            '-',
        ]);
        $decode->setTimeout(120)->run();
        if (!$decode->isSuccessful()) {
            throw Refusal::because('stock.unreadable', '/file', ['why' => 'it is damaged or cut off']);
        }
    }
}
