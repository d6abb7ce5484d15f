<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\AsShown;

/**
 * What a media file really is, by ffprobe and by reading it to its end: size as shown, duration. A file is read as what
 * its first bytes say it is and as nothing else, and nothing beside it is opened.
 */
final readonly class MediaProbe
{
    private const FORMATS = [
        'image/jpeg' => 'jpeg_pipe',
        'image/png' => 'png_pipe',
        'image/webp' => 'webp_pipe',
        'video/mp4' => 'mov',
        'video/webm' => 'matroska',
    ];

    public function __construct(private OutsideProgram $program)
    {
    }

    /**
     * @return array{size: Size, duration_ms: ?int}
     *
     * @throws Refusal `stock.no_picture`, `stock.no_video`, `stock.damaged`, `stock.codec`, `stock.side_too_long`
     */
    public function look(string $path, string $mime): array
    {
        return str_starts_with($mime, 'video/') ? $this->video($path, $mime) : $this->picture($path, $mime);
    }

    /**
     * What ffmpeg is told before a file of a stranger.
     *
     * @return list<string>
     */
    public static function reading(string $path, string $mime): array
    {
        return ['-v', 'error', '-protocol_whitelist', 'file', '-f', self::FORMATS[$mime], '-i', "file:$path"];
    }

    /** @return array{size: Size, duration_ms: null} */
    private function picture(string $path, string $mime): array
    {
        $found = @getimagesize($path);
        $exif = $mime === 'image/jpeg' ? @exif_read_data($path) : false;
        $size = AsShown::picture(
            $found[0] ?? 0,
            $found[1] ?? 0,
            $exif === false ? 1 : (int) ($exif['Orientation'] ?? 1),
        );
        $this->read($path, $mime, []);

        return ['size' => $size, 'duration_ms' => null];
    }

    /** @return array{size: Size, duration_ms: int} */
    private function video(string $path, string $mime): array
    {
        $probed = $this->program->output(
            [
                'ffprobe',
                ...self::reading($path, $mime),
                '-select_streams',
                'v:0',
                '-show_streams',
                '-show_format',
                '-of',
                'json',
            ],
            60,
        );
        $facts = (array) json_decode((string) $probed, true);
        $stream = $facts['streams'][0] ?? null;
        $seconds = (float) ($stream['duration'] ?? $facts['format']['duration'] ?? 0);
        if ($stream === null || $seconds <= 0) {
            throw Refusal::because('stock.no_video', '/file');
        }
        $size = AsShown::video(
            (string) ($stream['codec_name'] ?? '?'),
            (int) $stream['width'],
            (int) $stream['height'],
            (string) ($stream['sample_aspect_ratio'] ?? '1:1'),
            (int) ($stream['side_data_list'][0]['rotation'] ?? 0),
        );
        $this->read($path, $mime, ['-t', '1']);
        $end = $this->read($path, $mime, ['-map', '0:v:0', '-c', 'copy', '-progress', 'pipe:1']);
        if (self::lastSeconds($end) < 0.9 * $seconds - 1) {
            throw Refusal::because('stock.damaged', '/file');
        }

        return ['size' => $size, 'duration_ms' => (int) round($seconds * 1000)];
    }

    /** Where ffmpeg says it came to; a container may promise more than it holds. */
    private static function lastSeconds(string $progress): float
    {
        preg_match_all('/^out_time_us=(\d+)/m', $progress, $found);

        return (float) (end($found[1]) ?: 0) / 1e6;
    }

    /**
     * Decodes a file, or a part of it, or reads it to its end without decoding: whatever is damaged or cut off shows.
     *
     * @param list<string> $how
     */
    private function read(string $path, string $mime, array $how): string
    {
        $strictly = ['-nostdin', '-threads', '2', '-xerror', '-err_detect', 'explode'];
        return $this->program->output(
            ['ffmpeg', ...$strictly, ...self::reading($path, $mime), ...$how, '-f', 'null', '-'],
            120,
        ) ?? throw Refusal::because('stock.damaged', '/file');
    }
}
