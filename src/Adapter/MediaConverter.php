<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Picture\Playable;

/**
 * Makes of what players cannot show something that they can: a picture in sRGB, a video at a constant rate.
 *
 * @phpstan-import-type Facts from MediaProbe
 */
final readonly class MediaConverter
{
    private const WAVES =
        '[0:a:0]showwaves=s=1280x720:mode=cline:rate=25:colors=0xF4F1EA,format=gbrp[w];'.
        'color=0x1D2A33:s=1280x720:r=25,format=gbrp[c];[c][w]blend=all_mode=screen:shortest=1,format=yuv420p[v]';
    /** Decoders that read what others leave out. */
    private const WITH_ALPHA = ['vp8' => 'libvpx', 'vp9' => 'libvpx-vp9'];
    /** Where the first row and the first column lie (EXIF 2.3 §4.6.4, tag 274), in the program's words. */
    private const TOPS = [
        1 => 'TopLeft',
        2 => 'TopRight',
        3 => 'BottomRight',
        4 => 'BottomLeft',
        5 => 'LeftTop',
        6 => 'RightTop',
        7 => 'RightBottom',
        8 => 'LeftBottom',
    ];
    private const MOST_SECONDS = 7200;
    private const MOST_BYTES = 8 << 30;
    private const SRGB = '/usr/share/color/icc/sRGB.icc';

    public function __construct(private OutsideProgram $program)
    {
    }

    /**
     * @param string $to    an empty file, open to the program's user
     * @param Facts  $facts of what it is made from
     *
     * @return string what it is now
     *
     * @throws Refusal `stock.not_converted`
     */
    public function convert(string $from, string $mime, string $to, array $facts): string
    {
        $made = $facts['duration_ms'] === null
            ? $this->picture($from, $mime, $to, $facts['alpha'], $facts['profiled'])
            : $this->video($from, $mime, $to, $facts);
        clearstatcache(true, $to);

        return filesize($to) > 0 ? $made : throw Refusal::because('stock.not_converted', '/file');
    }

    /**
     * A sound alone becomes a video of its waves, so that it is shown, heard, trimmed and timed like any other.
     *
     * @throws Refusal `stock.no_sound`
     */
    public function sound(string $from, string $mime, string $to): void
    {
        $this->program->output(
            [
                ...['ffmpeg', '-nostdin', '-threads', '2', ...MediaProbe::reading($from, $mime)],
                ...['-filter_complex', self::WAVES, '-map', '[v]', '-map', '0:a:0', '-ac', '2', '-shortest'],
                ...['-c:v', 'libx264', '-preset', 'veryfast', '-crf', '23', '-g', '50', '-movflags', '+faststart'],
                ...['-c:a', 'aac', '-b:a', '160k', '-map_metadata', '-1', '-y', '-f', 'mp4', "file:$to"],
            ],
            self::MOST_SECONDS,
            fileBytes: self::MOST_BYTES,
        ) ?? throw Refusal::because('stock.no_sound', '/file');
    }

    private function picture(string $from, string $mime, string $to, bool $alpha, bool $profiled): string
    {
        $form = $alpha || in_array($mime, ['image/png', 'image/gif', 'image/bmp'], true) ? 'png' : 'jpeg';
        $this->program->output(
            [
                'convert-im6.q16',
                MediaProbe::CODERS[$mime].":{$from}[0]",
                // Of these it does not read where the top is.
                ...in_array($mime, ['image/png', 'image/webp'], true)
                    ? ['-orient', self::TOPS[MediaProbe::orientation($from, $mime)] ?? self::TOPS[1]]
                    : [],
                '-auto-orient',
                // A file that does not say what its numbers mean is taken as the program takes it.
                ...$profiled ? ['-profile', self::SRGB] : ['-colorspace', 'sRGB'],
                '-depth',
                '8',
                '-quality',
                $form === 'jpeg' ? '92' : '75',
                "$form:$to",
            ],
            self::MOST_SECONDS,
            fileBytes: self::MOST_BYTES,
        ) ?? throw Refusal::because('stock.not_converted', '/file');

        return "image/$form";
    }

    /**
     * Turned upright and with square px by ffmpeg itself; sides made even, as the codecs want them.
     *
     * @param Facts $facts
     */
    private function video(string $from, string $mime, string $to, array $facts): string
    {
        $rate = Playable::constantRate($facts['rate']);
        $filters = [
            ...in_array('interlaced', $facts['why'], true) ? ['yadif'] : [],
            'scale=trunc(iw*sar/2)*2:trunc(ih/2)*2',
            'setsar=1',
            "fps=$rate",
            'format='.($facts['alpha'] ? 'yuva420p' : 'yuv420p'),
            // The last picture of one that moves lasts as long as it says.
            ...$mime === 'image/apng' ? ['tpad=stop_mode=clone:stop_duration=60'] : [],
        ];
        $encoding = $facts['alpha']
            ? ['-c:v', 'libvpx-vp9', '-crf', '24', '-b:v', '0', '-row-mt', '1', '-c:a', 'libopus', '-f', 'webm']
            : [
                ...['-c:v', 'libx264', '-preset', 'veryfast', '-crf', '19', '-movflags', '+faststart'],
                ...['-c:a', 'aac', '-b:a', '160k', '-f', 'mp4'],
            ];
        $this->program->output(
            [
                ...['ffmpeg', '-nostdin', '-threads', '2'],
                ...$facts['alpha'] && isset(self::WITH_ALPHA[$facts['codec']])
                    ? ['-c:v', self::WITH_ALPHA[$facts['codec']]]
                    : [],
                ...MediaProbe::reading($from, $mime),
                ...$mime === 'image/apng' ? ['-t', sprintf('%.3F', $facts['duration_ms'] / 1000)] : [],
                ...['-map', '0:v:0', '-map', '0:a:0?', '-ac', '2', '-vf', implode(',', $filters)],
                ...['-g', '50', '-map_metadata', '-1', '-y', ...$encoding, "file:$to"],
            ],
            self::MOST_SECONDS,
            fileBytes: self::MOST_BYTES,
        ) ?? throw Refusal::because('stock.not_converted', '/file');

        return $facts['alpha'] ? 'video/webm' : 'video/mp4';
    }
}
