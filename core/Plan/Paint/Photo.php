<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Paint;

use UpperPane\Core\Picture\LightGrid;
use UpperPane\Core\Picture\MediaFacts;

/** A picture or a video in the window that it is seen in; blurred, as what lies behind a picture is, or sharp. */
final class Photo implements Coat
{
    private const WITHOUT_ALPHA = 'image/jpeg';
    /** So many places on either side stand for a blur, over twice its deviation. */
    private const BLUR_PLACES = 3;

    /** @var array<array-key, Paint> by their luminance */
    private static array $greys = [];
    private ?LightGrid $grid = null;
    private bool $asked = false;
    private readonly bool $isEnlarged;

    /**
     * @param Box    $drawn  where the whole picture would lie
     * @param Box    $window the part of the box that it is seen in
     * @param float $blur   standard deviation in px; 0: sharp
     */
    public function __construct(
        private readonly MediaFacts $media,
        private readonly Box $drawn,
        private readonly Box $window,
        private readonly float $blur = 0.0,
    ) {
        $size = $media->size;
        $this->isEnlarged = $size !== null && ($drawn->width > $size->width || $drawn->height > $size->height);
    }

    /** Fetched when somebody asks, once. */
    private function grid(): ?LightGrid
    {
        if (!$this->asked) {
            [$this->grid, $this->asked] = [$this->media->light(), true];
        }

        return $this->grid;
    }

    public function steps(): int
    {
        return $this->grid()?->steps() ?? 1;
    }

    public function at(int $step, float $x, float $y): ?Paint
    {
        if (!$this->window->contains($x, $y) || !$this->drawn->contains($x, $y)) {
            return Paint::none();
        }

        $grid = $this->grid();

        return match (true) {
            $grid === null => null,
            $this->blur > 0.0 => $this->blurred($grid, $step, $x, $y),
            default => $this->lit($grid, $step, $x, $y),
        };
    }

    private function lit(LightGrid $grid, int $step, float $x, float $y): Paint
    {
        $place = [
            ($x - $this->drawn->x) / $this->drawn->width,
            ($y - $this->drawn->y) / $this->drawn->height,
        ];
        if ($this->isEnlarged) {
            $light = $grid->smooth($step, ...$place);

            return $light === null ? Paint::none() : Paint::ofLuminance($light);
        }
        $light = $grid->at($step, ...$place);

        // A grid knows 255 of them.
        return $light === null ? Paint::none() : self::$greys[(string) $light] ??= Paint::ofLuminance($light);
    }

    /** The mean of the places around, the nearer the more (a Gaussian, Filter Effects 1 §9.2). */
    private function blurred(LightGrid $grid, int $step, float $x, float $y): Paint
    {
        $mean = Paint::none();
        $weight = 0.0;
        for ($down = -self::BLUR_PLACES; $down <= self::BLUR_PLACES; ++$down) {
            for ($along = -self::BLUR_PLACES; $along <= self::BLUR_PLACES; ++$along) {
                [$far, $deep] = [2 * $along / self::BLUR_PLACES, 2 * $down / self::BLUR_PLACES];
                $share = exp(-($far ** 2 + $deep ** 2) / 2);
                $weight += $share;
                $mean = $mean->towards(
                    $this->lit($grid, $step, $x + $far * $this->blur, $y + $deep * $this->blur),
                    $share / $weight,
                );
            }
        }

        return $mean;
    }

    public function covers(float $width, float $height): ?Box
    {
        $isOpaque =
            $this->blur === 0.0
            && ($this->media->mime === self::WITHOUT_ALPHA || $this->grid()?->isSeenThrough() === false);

        return $isOpaque ? $this->drawn->within($this->window) : null;
    }
}
