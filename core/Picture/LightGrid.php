<?php

declare(strict_types=1);

namespace UpperPane\Core\Picture;

use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Legibility\Contrast;

/**
 * How light a picture is from place to place (model §5): relative luminance (WCAG 2.2) in cells, once for a picture,
 * every second or so for a video. A cell is a byte: 0 where it is seen through, else the root of the luminance from 1
 * to 255, so that dark ones are told apart as well as light ones.
 */
final readonly class LightGrid
{
    /** The longer side in cells. */
    public const PICTURE_CELLS = 256;
    public const VIDEO_CELLS = 64;
    public const MOST_STEPS = 120;
    private const RGBA = 4;
    private const SEEN_THROUGH_BELOW = 128;

    /** @param string $lit a byte for each cell, line by line, one step after another */
    private function __construct(private Size $cells, private string $lit)
    {
    }

    /**
     * @param string $pixels red, green, blue and alpha, 8 bits each, of one picture or of several after another
     *
     * @throws \UnexpectedValueException when they are not so many
     */
    public static function ofPixels(Size $cells, string $pixels): self
    {
        if ($pixels === '' || strlen($pixels) % ($cells->area() * self::RGBA) !== 0) {
            throw new \UnexpectedValueException('These are not whole pictures.');
        }

        return new self($cells, self::lit($pixels));
    }

    private static function lit(string $pixels): string
    {
        $linear = array_map(Contrast::linear(...), range(0, 255));
        $lit = '';
        for ($at = 0, $end = strlen($pixels); $at < $end; $at += self::RGBA) {
            $luminance =
                0.2126 * $linear[ord($pixels[$at])] +
                0.7152 * $linear[ord($pixels[$at + 1])] +
                0.0722 * $linear[ord($pixels[$at + 2])];
            $lit .= chr(ord($pixels[$at + 3]) < self::SEEN_THROUGH_BELOW ? 0 : 1 + (int) round(254 * sqrt($luminance)));
        }

        return $lit;
    }

    /** As {@see bytes()} writes it. */
    public static function ofBytes(string $bytes): self
    {
        $side = static fn (int $at) => ord($bytes[$at]) << 8 | ord($bytes[$at + 1]);

        return new self(Size::of($side(0), $side(2)), substr($bytes, 4));
    }

    /** Width and height in cells as big-endian 16 bit, then every step's cells. */
    public function bytes(): string
    {
        return pack('nn', $this->cells->width, $this->cells->height).$this->lit;
    }

    /** Whether one sees through it somewhere, at some step. */
    public function isSeenThrough(): bool
    {
        return str_contains($this->lit, "\0");
    }

    public function steps(): int
    {
        return intdiv(strlen($this->lit), $this->cells->area());
    }

    /**
     * Relative luminance at a place, 0 to 1; null where one sees through it.
     *
     * @param float $x share of the width, 0 to 1
     * @param float $y share of the height
     */
    public function at(int $step, float $x, float $y): ?float
    {
        return self::luminance($this->cell($step, (int) ($x * $this->cells->width), (int) ($y * $this->cells->height)));
    }

    /**
     * The same where a picture is drawn larger than it is: cells run into each other, as a browser's px do (HTML,
     * `image-rendering: auto`; between encoded values, bilinear, common practice).
     *
     * @param float $x share of the width, 0 to 1
     * @param float $y share of the height
     */
    public function smooth(int $step, float $x, float $y): ?float
    {
        [$along, $down] = [$x * $this->cells->width - 0.5, $y * $this->cells->height - 0.5];
        [$column, $row] = [(int) floor($along), (int) floor($down)];
        [$along, $down] = [$along - $column, $down - $row];
        $mean = 0.0;
        foreach ([[0, 0], [1, 0], [0, 1], [1, 1]] as [$right, $below]) {
            $byte = $this->cell($step, $column + $right, $row + $below);
            if ($byte === 0) {
                return $this->at($step, $x, $y);
            }
            $mean += $byte * ($right === 1 ? $along : 1 - $along) * ($below === 1 ? $down : 1 - $down);
        }

        return self::luminance($mean);
    }

    /** Of the nearest cell there is. */
    private function cell(int $step, int $column, int $row): int
    {
        $column = min($this->cells->width - 1, max(0, $column));
        $row = min($this->cells->height - 1, max(0, $row));

        return ord(
            $this->lit[($step % $this->steps()) * $this->cells->area() + $row * $this->cells->width + $column],
        );
    }

    private static function luminance(float $byte): ?float
    {
        return $byte < 1.0 ? null : (($byte - 1) / 254) ** 2;
    }
}
