<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

use UpperPane\Core\Legibility\Contrast;

/** A colour in sRGB, 0 to 255, and how much of what lies under it it covers, 0 to 1. */
final class Paint
{
    private static ?self $none = null;

    /** Worked out once: the same paints are asked for at thousands of places. */
    private ?float $luminance = null;

    private function __construct(
        public readonly float $red,
        public readonly float $green,
        public readonly float $blue,
        public readonly float $cover,
    ) {
    }

    public static function none(): self
    {
        return self::$none ??= new self(0, 0, 0, 0);
    }

    /** @param string $hex `#RRGGBB` */
    public static function ofHex(string $hex): self
    {
        return new self(
            hexdec(substr($hex, 1, 2)),
            hexdec(substr($hex, 3, 2)),
            hexdec(substr($hex, 5, 2)),
            1,
        );
    }

    /** The grey that is as light: of pictures only their light is known. */
    public static function ofLuminance(float $luminance): self
    {
        // IEC 61966-2-1 §5.2, the other way round.
        $part = 255 * ($luminance <= 0.0031308 ? 12.92 * $luminance : 1.055 * $luminance ** (1 / 2.4) - 0.055);

        $grey = new self($part, $part, $part, 1);
        $grey->luminance = $luminance;

        return $grey;
    }

    public function isNothing(): bool
    {
        return $this->cover <= 0.0;
    }

    public function isFull(): bool
    {
        return $this->cover >= 1.0;
    }

    /** Laid over another (Compositing and Blending 1 §5.1, source-over, as browsers do in sRGB). */
    public function over(self $under): self
    {
        if ($this->cover >= 1.0 || $under->cover <= 0.0) {
            return $this;
        }
        if ($this->cover <= 0.0) {
            return $under;
        }
        $seen = $under->cover * (1 - $this->cover);
        $cover = $this->cover + $seen;

        return new self(
            ($this->red * $this->cover + $under->red * $seen) / $cover,
            ($this->green * $this->cover + $under->green * $seen) / $cover,
            ($this->blue * $this->cover + $under->blue * $seen) / $cover,
            $cover,
        );
    }

    /** Seen through more. */
    public function thinner(float $share): self
    {
        return $share >= 1.0 ? $this : new self($this->red, $this->green, $this->blue, $this->cover * $share);
    }

    /** @param float $share of the way to another colour, 0 to 1 */
    public function towards(self $other, float $share): self
    {
        return new self(
            $this->red + ($other->red - $this->red) * $share,
            $this->green + ($other->green - $this->green) * $share,
            $this->blue + ($other->blue - $this->blue) * $share,
            $this->cover + ($other->cover - $this->cover) * $share,
        );
    }

    /** Relative luminance, 0 to 1 (WCAG 2.2), of what covers wholly. */
    public function luminance(): float
    {
        return $this->luminance ??=
            0.2126 * Contrast::linear($this->red) +
            0.7152 * Contrast::linear($this->green) +
            0.0722 * Contrast::linear($this->blue);
    }
}
