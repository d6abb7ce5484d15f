<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\AsShown;
use UpperPane\Core\Picture\Playable;

/**
 * What a media file really is, by ffprobe, by ImageMagick and by reading it to its end: size as shown, duration, and
 * why players could not show it as it is. A file is read as what its first bytes say it is and as nothing else, and
 * nothing beside it is opened. `why` it must be converted is as {@see Playable} says.
 *
 * @phpstan-type Facts array{
 *     size: Size,
 *     duration_ms: ?int,
 *     rate: string,
 *     codec: string,
 *     alpha: bool,
 *     depth: int,
 *     profiled: bool,
 *     why: list<string>,
 * }
 */
final readonly class MediaProbe
{
    private const FORMATS = [
        'image/jpeg' => 'jpeg_pipe',
        'image/png' => 'png_pipe',
        'image/apng' => 'apng',
        'image/webp' => 'webp_pipe',
        'image/gif' => 'gif',
        'image/tiff' => 'tiff_pipe',
        'image/bmp' => 'bmp_pipe',
        'video/mp4' => 'mov',
        'video/webm' => 'matroska',
        'video/quicktime' => 'mov',
        'video/x-m4v' => 'mov',
        'video/3gpp' => 'mov',
        'video/x-matroska' => 'matroska',
        'video/x-msvideo' => 'avi',
        'video/mpeg' => 'mpeg',
        'video/mp2t' => 'mpegts',
        'audio/mpeg' => 'mp3',
        'audio/x-m4a' => 'mov',
        'audio/mp4' => 'mov',
        'audio/x-wav' => 'wav',
        'audio/ogg' => 'ogg',
        'audio/flac' => 'flac',
    ];
    /** What ImageMagick is told that a picture is. */
    public const CODERS = [
        'image/jpeg' => 'jpeg',
        'image/png' => 'png',
        'image/webp' => 'webp',
        'image/gif' => 'gif',
        'image/tiff' => 'tiff',
        'image/bmp' => 'bmp',
        'image/heic' => 'heic',
        'image/heif' => 'heic',
        'image/avif' => 'avif',
    ];

    private const SHOWN = ['image/jpeg', 'image/png', 'image/webp'];
    private const MOST_GIF = 64 << 20;
    private const MOST_CHUNKS = 10_000;

    public function __construct(private OutsideProgram $program)
    {
    }

    /**
     * @return Facts
     *
     * @throws Refusal `stock.no_picture`, `stock.no_video`, `stock.damaged`, `stock.side_too_long`,
     *     `stock.too_many_px`
     */
    public function look(string $path, string $mime): array
    {
        return str_starts_with($mime, 'video/') || self::moves($path, $mime)
            ? $this->video($path, $mime)
            : $this->picture($path, $mime);
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

    /** A PNG that moves says so before its first picture (PNG, third edition §11.3.6.1). */
    public static function isMovingPng(string $path): bool
    {
        $head = (string) file_get_contents($path, length: 65_536);

        return str_contains(substr($head, 0, (int) strpos($head, 'IDAT')), 'acTL');
    }

    private static function moves(string $path, string $mime): bool
    {
        if ($mime !== 'image/gif') {
            return $mime === 'image/apng';
        }
        // A graphic control extension comes before every picture (GIF89a §23).
        return substr_count((string) file_get_contents($path, length: self::MOST_GIF), "\x21\xF9\x04") > 1;
    }

    /** @return Facts */
    private function picture(string $path, string $mime): array
    {
        $said = $this->program->output(
            [
                'identify-im6.q16',
                '-ping',
                '-format',
                '%w %h %z %[colorspace] %A %[orientation]|%[profile:icc]\n',
                self::CODERS[$mime].":{$path}[0]",
            ],
            60,
        );
        $found = preg_match(
            '/^(\d+) (\d+) (\d+) (\w+) (\w+) (\w+)\|(.*)$/m',
            (string) $said,
            $fact,
        );
        $orientation = self::orientation($path, $mime);
        // Of what is far too large, only the head is read.
        $head = @getimagesize($path) ?: [0, 0];
        $size = AsShown::picture(
            (int) ($fact[1] ?? $head[0]),
            (int) ($fact[2] ?? $head[1]),
            $orientation,
        );
        if ($found !== 1) {
            throw Refusal::because('stock.damaged', '/file');
        }
        // Of all others a picture is made anyway, and what is damaged shows then.
        if (in_array($mime, self::SHOWN, true)) {
            $this->read($path, $mime, []);
        }

        return [
            'size' => $size,
            'duration_ms' => null,
            'rate' => '',
            'codec' => self::CODERS[$mime],
            'depth' => (int) $fact[3],
            'alpha' => strtolower($fact[5]) !== 'undefined' && strtolower($fact[5]) !== 'false',
            'profiled' => $fact[7] !== '',
            'why' => [
                ...Playable::picture($mime, 1, (int) $fact[3], $fact[4], $fact[7]),
                // What browsers turn and our own programs do not is made upright once for all.
                ...$mime !== 'image/jpeg' && $orientation !== 1 ? ['turned'] : [],
            ],
        ];
    }

    /** As EXIF has it, in JPEG, and in the chunks of PNG (third edition §11.3.4.5) and WebP (RFC 9649 §2.7.1.5). */
    public static function orientation(string $path, string $mime): int
    {
        $exif = match ($mime) {
            'image/jpeg' => @exif_read_data($path),
            'image/png' => self::exifOf($path, 8, 'eXIf', 'N', true),
            'image/webp' => self::exifOf($path, 12, 'EXIF', 'V', false),
            default => false,
        };

        return $exif === false ? 1 : max(1, (int) ($exif['Orientation'] ?? 1));
    }

    /**
     * Of a file in chunks: their length and their name, in one order or the other, then what is in them.
     *
     * @return array<string, mixed>|false
     */
    private static function exifOf(string $path, int $from, string $name, string $word, bool $lengthFirst): array|false
    {
        $file = fopen($path, 'r');
        if ($file === false) {
            return false;
        }
        fseek($file, $from);
        $found = false;
        for ($chunk = 0; $chunk < self::MOST_CHUNKS && strlen($head = (string) fread($file, 8)) === 8; ++$chunk) {
            [$first, $second] = str_split($head, 4);
            [$said, $size] = $lengthFirst ? [$second, $first] : [$first, $second];
            $length = (int) (unpack($word, $size)[1] ?? 0);
            if ($said === $name) {
                $bytes = (string) preg_replace('/^Exif\0\0/', '', (string) fread($file, min($length, 1 << 16)));
                $found = @exif_read_data('data://image/tiff;base64,'.base64_encode($bytes));
                break;
            }
            fseek($file, $length + ($lengthFirst ? 4 : $length % 2), \SEEK_CUR);
        }
        fclose($file);

        return $found;
    }

    /** The sum of what its pictures last, in s (PNG, third edition §11.3.6.2): the last one's too. */
    private static function movingPngSeconds(string $path): float
    {
        $bytes = (string) file_get_contents($path, length: self::MOST_GIF);
        preg_match_all('/\x00\x00\x00\x1AfcTL.{20}(..)(..)/s', $bytes, $found, \PREG_SET_ORDER);
        $seconds = 0.0;
        foreach ($found as [, $part, $of]) {
            $of = unpack('n', $of)[1] ?? 0;
            $seconds += (unpack('n', $part)[1] ?? 0) / ($of === 0 ? 100 : $of);
        }

        return $seconds;
    }

    /** @return Facts */
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
        if ($stream === null) {
            throw Refusal::because('stock.no_video', '/file');
        }
        $codec = (string) ($stream['codec_name'] ?? '?');
        if (!isset($stream['pix_fmt'])) {
            throw Refusal::because('stock.codec', '/file', ['codec' => $codec]);
        }
        $size = AsShown::video(
            (int) $stream['width'],
            (int) $stream['height'],
            (string) ($stream['sample_aspect_ratio'] ?? '1:1'),
            (int) ($stream['side_data_list'][0]['rotation'] ?? 0),
        );
        $this->read($path, $mime, ['-t', '1']);
        $end = self::lastSeconds($this->read($path, $mime, ['-map', '0:v:0', '-c', 'copy', '-progress', 'pipe:1']));
        // What moves in a picture has no length that it says of itself.
        $seconds = (float) ($stream['duration'] ?? $facts['format']['duration'] ?? 0) ?: $end;
        $seconds = $mime === 'image/apng' ? max($seconds, self::movingPngSeconds($path)) : $seconds;
        if ($seconds <= 0) {
            throw Refusal::because('stock.no_video', '/file');
        }
        if ($mime !== 'image/apng' && $end < 0.9 * $seconds - 1) {
            throw Refusal::because('stock.damaged', '/file');
        }

        return [
            'size' => $size,
            'duration_ms' => (int) round($seconds * 1000),
            'rate' => (string) ($stream['avg_frame_rate'] ?? '25/1'),
            'codec' => $codec,
            'depth' => preg_match('/p(\d\d)(?:le|be)$/', (string) $stream['pix_fmt'], $bits) === 1 ? (int) $bits[1] : 8,
            // VP8 and VP9 keep it beside the picture, where only their own decoders look.
            'alpha' => preg_match('/^(yuva|rgba|argb|bgra|abgr|gbrap|ya|pal8)/', (string) $stream['pix_fmt']) === 1
                || ($stream['tags']['alpha_mode'] ?? '') === '1',
            'profiled' => false,
            'why' => Playable::video(
                $mime,
                $codec,
                (string) $stream['pix_fmt'],
                (string) ($stream['field_order'] ?? 'progressive'),
                (string) ($stream['avg_frame_rate'] ?? '0/0'),
                (string) ($stream['r_frame_rate'] ?? '0/0'),
            ),
        ];
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
