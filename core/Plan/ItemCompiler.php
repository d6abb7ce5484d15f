<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Fill\ChartFill;
use UpperPane\Core\Design\Fill\ClockFill;
use UpperPane\Core\Design\Fill\ColourFill;
use UpperPane\Core\Design\Fill\CountFill;
use UpperPane\Core\Design\Fill\DialFill;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Design\Fill\LiveFill;
use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Design\Fill\ProgressFill;
use UpperPane\Core\Design\Fill\QrFill;
use UpperPane\Core\Design\Fill\ShapeFill;
use UpperPane\Core\Design\Fill\TextFill;
use UpperPane\Core\Design\Fill\WebFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\Fit;
use UpperPane\Core\Picture\FitMode;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Picture\Quality;
use UpperPane\Core\Picture\Variant;
use UpperPane\Core\Plan\Fill\ChartCompiler;
use UpperPane\Core\Plan\Fill\FigureCompiler;
use UpperPane\Core\Plan\Fill\FrameCompiler;
use UpperPane\Core\Plan\Fill\TextCompiler;

/** One fill in a box → how it is drawn there. */
final readonly class ItemCompiler
{
    /** Of the shorter side: how far what lies behind a picture is blurred. */
    private const BLURRED_PART = 20;

    private TextCompiler $texts;
    private FigureCompiler $figures;
    private FrameCompiler $frames;

    public function __construct(private PlanContext $context)
    {
        $this->texts = new TextCompiler($context);
        $this->figures = new FigureCompiler($context);
        $this->frames = new FrameCompiler($context);
    }

    public function compile(Fill $fill, Size $box): Item
    {
        $as = "$box->width $box->height {$this->context->scale->toRatio()} {$this->context->pitchUm?->toRatio()}";

        return $this->context->drawn->once($fill, $as, fn () => $this->styled($fill, $box));
    }

    private function styled(Fill $fill, Size $box): Item
    {
        $fill = $this->context->still && $fill instanceof TextFill ? $fill->unmoved() : $fill;
        $palette = $this->context->palette;
        if ($palette === null) {
            return $this->draw($fill, $box);
        }
        try {
            return $this->draw($fill->resolved($palette), $box);
        } catch (Refusal $refusal) {
            return $this->draw($fill, $box)->unstyled($refusal->getMessage());
        }
    }

    private function draw(Fill $fill, Size $box): Item
    {
        return match ($fill->kind()) {
            FillKind::Empty, FillKind::Playlist => new Item($fill, ['kind' => 'standby']),
            FillKind::Colour => new Item($fill, [
                'kind' => 'colour',
                'colour' => self::as(ColourFill::class, $fill)->colour->hex,
            ]),
            FillKind::Picture, FillKind::Video => $this->media(self::as(MediaFill::class, $fill), $box),
            FillKind::Text => $this->texts->text(self::as(TextFill::class, $fill), $box),
            FillKind::Clock => $this->texts->clock(self::as(ClockFill::class, $fill), $box),
            FillKind::Count => $this->texts->count(self::as(CountFill::class, $fill), $box),
            FillKind::Dial => $this->figures->dial(self::as(DialFill::class, $fill), $box),
            FillKind::Progress => $this->figures->progress(self::as(ProgressFill::class, $fill), $box),
            FillKind::Qr => $this->figures->qr(self::as(QrFill::class, $fill), $box),
            FillKind::Chart => (new ChartCompiler($this->context))->chart(self::as(ChartFill::class, $fill), $box),
            FillKind::Web => $this->frames->web(self::as(WebFill::class, $fill), $box),
            FillKind::Live => $this->frames->live(self::as(LiveFill::class, $fill), $box),
            FillKind::Shape => $this->figures->shape(self::as(ShapeFill::class, $fill), $box),
        };
    }

    /**
     * @template F of Fill
     *
     * @param class-string<F> $class
     *
     * @return F
     */
    private static function as(string $class, Fill $fill): Fill
    {
        return $fill instanceof $class
            ? $fill
            : throw new \LogicException("A fill of kind {$fill->kind()->value} is a $class.");
    }

    private function media(MediaFill $fill, Size $box): Item
    {
        $facts = $this->context->media->find($fill->media);
        if ($facts === null || $facts->size === null) {
            return new Item($fill, ['kind' => 'standby'], media: $facts);
        }
        $endsMs = $facts->notes->endsMs($this->context->zone);
        [$fromMs, $lastsMs] = $fill->stretch($facts->durationMs) ?? [0, null];
        $fit = $fill->in($facts->size, $box);

        $variant = $this->variant($fill, $facts, $facts->size, $fit);

        return new Item(
            $fill,
            [
                'kind' => $facts->isVideo() ? 'video' : 'picture',
                'sha256' => $variant->sha256 ?? $facts->sha256,
                'drawn_mpx' => self::thousandths($fit->drawn),
                'seen_px' => [$fit->visible[2]->round(), $fit->visible[3]->round()],
                'ground' => $fill->ground?->hex,
                'cut_ppm' => $fit->cut->times(Rational::of(1_000_000))->round(),
                'scale_ppm' => $fit->enlargement()->times(Rational::of(1_000_000))->round(),
            ] +
                ($fill->crop === null ? [] : ['window_mpx' => self::thousandths($fit->window)]) +
                ($fill->blurredBehind && !$facts->isVideo()
                    ? ['behind' => self::behind($fill, $facts->size, $box)]
                    : []) +
                $this->openings($facts, $fit, $box) +
                ($facts->isVideo() ? ['content_ms' => $lastsMs ?? 0, 'sound' => $fill->sound] : []) +
                ($fill->trim !== null && $facts->isVideo() ? ['content_from_ms' => $fromMs] : []) +
                ($endsMs === null ? [] : ['until_ms' => $endsMs]) +
                ($variant === null
                    ? []
                    : [
                        'delivered' => [
                            'px' => $variant->size->toArray(),
                            'bytes' => $variant->bytes,
                            'of' => $facts->bytes,
                        ],
                    ]),
            fit: $fit,
            media: $facts,
            contentMs: $lastsMs,
            variant: $variant,
            over: $endsMs === null || $endsMs > $this->context->untilMs() ? null : $endsMs <= $this->context->fromMs,
        );
    }

    private function variant(MediaFill $fill, MediaFacts $facts, Size $size, Fit $fit): ?Variant
    {
        $side = $facts->isVideo() || $fill->quality === Quality::Original
            ? null
            : Variant::longerSidePx($size, $fit->enlargement());

        return $side === null ? null : $this->context->variants?->find($facts->sha256, $side, $fill->quality);
    }

    /**
     * @param array<int, Rational> $px
     *
     * @return array<int, int>
     */
    private static function thousandths(array $px): array
    {
        return array_map(static fn (Rational $one) => $one->thousandths(), $px);
    }

    /**
     * Itself, over the whole box and so far beyond it that the soft edge of the blur is not seen.
     *
     * @return array{drawn_mpx: array<int, int>, blur_mpx: int}
     */
    private static function behind(MediaFill $fill, Size $source, Size $box): array
    {
        $blurPx = max(1, intdiv(min($box->width, $box->height), self::BLURRED_PART));
        $over = 2 * $blurPx;
        [$x, $y, $width, $height] = self::thousandths(
            $fill->in($source, Size::of($box->width + 2 * $over, $box->height + 2 * $over), FitMode::Cover)->drawn,
        );

        return ['drawn_mpx' => [$x - 1000 * $over, $y - 1000 * $over, $width, $height], 'blur_mpx' => 1000 * $blurPx];
    }

    /** @return array<string, mixed> the openings of art, in px of the box */
    private function openings(MediaFacts $facts, Fit $fit, Size $box): array
    {
        $openings = [];
        foreach ($facts->openings as $opening) {
            $cover = $fit->drawnRect($opening->cover, $box, true);
            $inside = $fit->drawnRect($opening->inside, $box, false);
            if ($cover !== null && $inside !== null) {
                $openings[] = ['cover' => $cover->toArray(), 'inside' => $inside->toArray()];
            }
        }

        return $openings === [] ? [] : ['openings' => $openings];
    }
}
