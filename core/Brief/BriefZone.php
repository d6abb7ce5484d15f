<?php

declare(strict_types=1);

namespace UpperPane\Core\Brief;

use UpperPane\Core\Geometry\Axis;
use UpperPane\Core\Geometry\Ratio;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Plan\ZonePlan;

/** What whoever makes the art of a zone must know: its px first of all. */
final readonly class BriefZone
{
    /**
     * @param int  $turnCentidegrees clockwise about the centre
     * @param int  $bleedX           px of its width that lie behind seams
     * @param ?int $ms               one round of its content; null where it is not known
     */
    private function __construct(
        public string $letter,
        public string $name,
        public Rect $rect,
        public int $turnCentidegrees,
        public string $exactRatio,
        public ?string $ratio,
        public int $bleedX,
        public int $bleedY,
        public string $fill,
        public ?int $ms,
    ) {
    }

    public static function of(ZonePlan $plan): self
    {
        $ratio = Ratio::of($plan->rect->size())->toArray();

        return new self(
            $plan->zone->letter(),
            $plan->zone->name(),
            $plan->rect,
            $plan->placed->turnCentidegrees,
            $ratio['exact'],
            $ratio['name'],
            self::behind($plan, Axis::X),
            self::behind($plan, Axis::Y),
            $plan->zone->fill()->kind()->value,
            $plan->cycleMs() ?? self::contentMs($plan),
        );
    }

    /** How long a video lasts that is shown alone, again and again. */
    private static function contentMs(ZonePlan $plan): ?int
    {
        $ms = $plan->items[0]->toArray()['content_ms'] ?? null;

        return is_int($ms) ? $ms : null;
    }

    /** Px along an axis that lie behind seams running across it; each px counts once. */
    private static function behind(ZonePlan $plan, Axis $axis): int
    {
        $hidden = [];
        foreach ($plan->seams as $seam) {
            $part = $seam->common($plan->rect);
            if ($part !== null && $seam->length($axis->other()) > $seam->length($axis)) {
                $hidden += array_fill_keys(range($part->start($axis), $part->end($axis) - 1), true);
            }
        }

        return count($hidden);
    }

    /** @return list<string> as a line of a table, in the order of {@see columns()} */
    public function cells(): array
    {
        return [
            $this->letter,
            $this->name,
            (string) $this->rect->width,
            (string) $this->rect->height,
            $this->exactRatio,
            $this->ratio ?? '',
            (string) $this->rect->x,
            (string) $this->rect->y,
            $this->turnCentidegrees === 0 ? '' : self::decimal($this->turnCentidegrees, 2),
            $this->bleedX === 0 ? '' : (string) $this->bleedX,
            $this->bleedY === 0 ? '' : (string) $this->bleedY,
            Words::of("fill.$this->fill"),
            $this->ms === null ? '' : self::decimal($this->ms, 3),
        ];
    }

    /** @return list<string> keys of words */
    public static function columns(): array
    {
        return [
            'zone',
            'name',
            'width',
            'height',
            'exact',
            'ratio',
            'x',
            'y',
            'turn',
            'bleed_x',
            'bleed_y',
            'fill',
            'seconds',
        ];
    }

    private static function decimal(int $parts, int $decimals): string
    {
        $text = sprintf('%0'.($decimals + 1).'d', abs($parts));
        $rest = rtrim(substr($text, -$decimals), '0');

        return ($parts < 0 ? '-' : '').substr($text, 0, -$decimals).($rest === '' ? '' : ".$rest");
    }
}
