<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan\Fill;

use UpperPane\Core\Design\Fill\LiveFill;
use UpperPane\Core\Design\Fill\WebFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Picture\Fit;
use UpperPane\Core\Picture\FitMode;
use UpperPane\Core\Picture\MediaFacts;
use UpperPane\Core\Plan\Item;
use UpperPane\Core\Plan\PlanContext;
use UpperPane\Core\Web\WebFacts;
use UpperPane\Core\Web\WebState;

/** What comes from elsewhere while it is shown: pages and live pictures, with the picture that stands in for them. */
final readonly class FrameCompiler
{
    private const MIDDLE = 50_000;

    public function __construct(private PlanContext $context)
    {
    }

    /**
     * The window that the page is laid out for, in px of its own, grown by what is scrolled past; it is drawn at
     * `scale_ppm` and moved up. A page that is known to refuse is left out.
     */
    public function web(WebFill $fill, Size $box): Item
    {
        $stock = $fill->address->stockId();
        $document = $stock === null ? null : $this->context->media->find($stock);
        $page = match (true) {
            $stock !== null && $document?->mime !== MediaFacts::PAGE => new WebFacts(WebState::Away),
            $fill->address->isShipped() => new WebFacts(WebState::Shown),
            default => $this->context->pages->find($fill->address->text) ?? new WebFacts(WebState::Waiting),
        };
        $height = Rational::of($box->height * $fill->width, $box->width)->ceil();
        [$still, $stands] = $this->still($fill->still, $box);

        return new Item(
            $fill,
            [
                'kind' => 'web',
                'address' => $page->state === WebState::Refused ? '' : $fill->address->text,
                'window_px' => [$fill->width, $height + $fill->scroll],
                'scroll_px' => $fill->scroll,
                'scale_ppm' => Rational::of(1_000_000 * $box->width, $fill->width)->round(),
                'refresh_ms' => $fill->refreshS === null ? null : 1000 * $fill->refreshS,
                'ground' => $fill->ground->hex,
                'still' => $still,
            ] + ($document === null ? [] : ['sha256' => $document->sha256]),
            media: $stands,
            page: $page,
            document: $document,
        );
    }

    /** How the picture is sized is the browser's to do (CSS Images 3 §5.5): only it knows how large it comes. */
    public function live(LiveFill $fill, Size $box): Item
    {
        [$still, $stands] = $this->still($fill->still, $box);

        return new Item(
            $fill,
            [
                'kind' => 'live',
                'source' => $fill->source->toArray(),
                'fit' => $fill->fit->value,
                'sound' => $fill->sound,
                'ground' => $fill->ground->hex,
                'still' => $still,
            ],
            media: $stands,
        );
    }

    /** @return array{?array{sha256: string, drawn_mpx: list<int>}, ?MediaFacts} covering the box */
    private function still(?string $id, Size $box): array
    {
        $facts = $id === null ? null : $this->context->media->find($id);
        if ($facts?->size === null || $facts->isVideo()) {
            return [null, $facts];
        }
        $fit = Fit::of($facts->size, $box, FitMode::Cover, self::MIDDLE, self::MIDDLE);

        return [
            [
                'sha256' => $facts->sha256,
                'drawn_mpx' => array_map(static fn (Rational $px) => $px->thousandths(), $fit->drawn),
            ],
            $facts,
        ];
    }
}
