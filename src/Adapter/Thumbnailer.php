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

    /** A card with a word, for what has no picture of its own. */
    public function card(string $word): string
    {
        $picture = imagecreatetruecolor(self::LONGEST_SIDE_PX, intdiv(self::LONGEST_SIDE_PX * 9, 16));
        imagefill($picture, 0, 0, 0xFFFDF8);
        $wide = strlen($word) * imagefontwidth(5);
        $written = imagecreatetruecolor($wide, imagefontheight(5));
        imagefill($written, 0, 0, 0xFFFDF8);
        imagestring($written, 5, 0, 0, $word, 0x1D2A33);
        $large = imagescale($written, 6 * $wide, -1, \IMG_NEAREST_NEIGHBOUR);
        if ($large !== false) {
            $at = [intdiv(imagesx($picture) - imagesx($large), 2), intdiv(imagesy($picture) - imagesy($large), 2)];
            imagecopy($picture, $large, ...$at, ...[0, 0, imagesx($large), imagesy($large)]);
        }
        ob_start();
        imagewebp($picture, null, 90);

        return (string) ob_get_clean();
    }
}
