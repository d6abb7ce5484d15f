<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Picture\Quality;

/** A WebP of a picture, so many px long: drawn pictures keep every colour at the usual quality, photographs at none. */
final readonly class VariantMaker
{
    private const MOST_SECONDS = 120;
    private const QUALITY = ['usual' => '90', 'small' => '72'];

    public function __construct(private OutsideProgram $program)
    {
    }

    /** @return ?string null where none could be made */
    public function make(string $bytes, string $mime, int $longerSidePx, Quality $quality): ?string
    {
        $lossless = $mime === 'image/png' && $quality === Quality::Usual;
        $made = $this->program->output(
            [
                ...['convert-im6.q16', MediaProbe::CODERS[$mime].':-[0]', '-auto-orient'],
                ...['-resize', "{$longerSidePx}x{$longerSidePx}", '-strip', '-depth', '8'],
                ...['-quality', self::QUALITY[$quality->value] ?? '90'],
                ...['-define', 'webp:lossless='.($lossless ? 'true' : 'false'), '-define', 'webp:method=4', 'webp:-'],
            ],
            self::MOST_SECONDS,
            $bytes,
        );

        return $made === '' ? null : $made;
    }
}
