<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Picture\MediaShelf;
use UpperPane\Core\Picture\VariantShelf;
use UpperPane\Core\Plan\Inputs\Answers;
use UpperPane\Core\Style\Palette;
use UpperPane\Core\Surface\Ground;
use UpperPane\Core\Surface\Legibility;
use UpperPane\Core\Text\Fonts;
use UpperPane\Core\Text\Setting\Widths;
use UpperPane\Core\Web\WebShelf;

/**
 * Everything a plan needs beside the design: the Stock, what is known of pages, the faces, the site's zone, the
 * horizon, the reflow scale and what lies under the canvas.
 */
final readonly class PlanContext
{
    public const HORIZON_MS = 14 * 86_400_000;

    public function __construct(
        public MediaShelf $media,
        public WebShelf $pages,
        public Fonts $fonts,
        public \DateTimeZone $zone,
        public int $fromMs,
        public Rational $scale,
        public ?Ground $ground = null,
        public ?int $farthestMm = null,
        public ?Rational $pitchUm = null,
        public ?Palette $palette = null,
        public Drawn $drawn = new Drawn(),
        public bool $still = false,
        public ?VariantShelf $variants = null,
        public ?Widths $widths = null,
    ) {
    }

    /** The least capital height in px at the farthest viewer; null where the pitch or the viewer is not known. */
    public function leastCapPx(): ?int
    {
        return $this->farthestMm === null || $this->pitchUm === null
            ? null
            : Legibility::leastCapPx($this->pitchUm, $this->farthestMm);
    }

    public function untilMs(): int
    {
        return $this->fromMs + self::HORIZON_MS;
    }

    /**
     * @param array<string, mixed> $plan
     *
     * @return array<string, mixed> as {@see Almanac::dates()}
     */
    public function dates(array $plan): array
    {
        return Almanac::dates($this->zone, $this->fromMs, $plan);
    }

    /** A length in design px on this surface, at least 1 where it was at least 1. */
    public function px(int $designPx): int
    {
        return $designPx === 0 ? 0 : max(1, $this->scale->times(Rational::of($designPx))->round());
    }

    public function scaledBy(Rational $scale): self
    {
        return $this->with(['scale' => $scale]);
    }

    /** The panels and seams under the zones; none when the canvas is no surface's. */
    public function on(?Ground $ground): self
    {
        return $this->with(['ground' => $ground]);
    }

    /** How far away the farthest viewer stands, in mm, and the surface's pitch. */
    public function seenFrom(int $farthestMm, Rational $pitchUm): self
    {
        return $this->with(['farthestMm' => $farthestMm, 'pitchUm' => $pitchUm]);
    }

    /** As a house style says: nothing that was drawn otherwise counts. */
    public function styledBy(Palette $palette): self
    {
        return $this->with(['palette' => $palette, 'drawn' => new Drawn()]);
    }

    /** Texts stand still, and everything changes by a cut. */
    public function unmoved(): self
    {
        return $this->with(['still' => true, 'drawn' => new Drawn()]);
    }

    /** As at any instant: what is drawn of it never changes. In the zone's first whole day of the epoch. */
    public function timeless(): self
    {
        return $this->with([
            'fromMs' => 86_400_000,
            'palette' => null,
            'still' => true,
            'drawn' => new Drawn(),
        ]);
    }

    /** The same at another instant. */
    public function from(int $ms): self
    {
        return $this->with(['fromMs' => $ms, 'drawn' => new Drawn()]);
    }

    /** The same, with every answer that it is asked for written down. */
    public function asking(Answers $answers): self
    {
        return $this->with([
            'media' => $answers->media($this->media),
            'pages' => $answers->pages($this->pages),
            'fonts' => $answers->fonts($this->fonts, true),
            'variants' => $this->variants === null ? null : $answers->variants($this->variants),
            'widths' => $this->widths === null ? null : $answers->widths($this->widths),
            'drawn' => new Drawn(),
        ]);
    }

    /** @param array<string, mixed> $otherwise by property: readonly ones cannot be set on a clone before PHP 8.3 */
    private function with(array $otherwise): self
    {
        return (new \ReflectionClass(self::class))->newInstance(...$otherwise + get_object_vars($this));
    }
}
