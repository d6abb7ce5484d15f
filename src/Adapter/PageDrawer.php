<?php

declare(strict_types=1);

namespace UpperPane\App\Adapter;

use UpperPane\Core\Base\Refusal;

/**
 * Draws what has no px of its own, SVG pictures and the pages of PDFs, as PNG. Given by standard input, so that nothing
 * beside them is opened; scripts are not run.
 */
final readonly class PageDrawer
{
    private const SVG = 'image/svg+xml';
    private const PDF = 'application/pdf';
    /** The longest side: that of a UHD display (SMPTE ST 2036-1). */
    private const SIDE_PX = '3840';
    private const MOST_PAGES = 100;
    private const MOST_SECONDS = 30;

    public function __construct(private OutsideProgram $program)
    {
    }

    public static function draws(string $mime): bool
    {
        return $mime === self::SVG || $mime === self::PDF;
    }

    /**
     * @param int $page counted from 1
     *
     * @return string a PNG
     *
     * @throws Refusal `stock.not_drawn`
     */
    public function draw(string $bytes, string $mime, int $page): string
    {
        $drawn = $this->program->output(
            $mime === self::SVG
                ? ['rsvg-convert', '-a', '-w', self::SIDE_PX, '-h', self::SIDE_PX, '-f', 'png']
                : ['pdftoppm', '-png', '-scale-to', self::SIDE_PX, '-f', "$page", '-l', "$page", '-singlefile', '-'],
            self::MOST_SECONDS,
            $bytes,
        );

        return $drawn === null || $drawn === '' ? throw self::notDrawn() : $drawn;
    }

    private static function notDrawn(): Refusal
    {
        return Refusal::because('stock.not_drawn', '/file', ['seconds' => self::MOST_SECONDS]);
    }

    /** How many pictures it makes; of a PDF at most 100. */
    public function pages(string $bytes, string $mime): int
    {
        if ($mime === self::SVG) {
            return 1;
        }
        $said = (string) $this->program->output(['pdfinfo', '-'], self::MOST_SECONDS, $bytes);

        return preg_match('/^Pages:\s+(\d+)/m', $said, $found) === 1 ? min(self::MOST_PAGES, (int) $found[1]) : 1;
    }
}
