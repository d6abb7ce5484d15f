<?php

declare(strict_types=1);

namespace UpperPane\Core\Preflight\Fill;

use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Preflight\PaintRule;
use UpperPane\Core\Preflight\Rule;

/** What can be wrong with each kind of fill: a kind that is added does not pass until it says so. */
final class FillRules
{
    /** @return list<Rule> on single zones, each once */
    public static function all(): array
    {
        $rules = array_merge(...array_map(self::of(...), FillKind::cases()));

        return array_map(static fn (string $rule) => new $rule(), array_values(array_unique($rules)));
    }

    /** @return list<PaintRule> on what is painted, each once */
    public static function painted(): array
    {
        $rules = array_merge(...array_map(self::paintedOf(...), FillKind::cases()));

        return array_map(static fn (string $rule) => new $rule(), array_values(array_unique($rules)));
    }

    /** @return list<class-string<Rule>> */
    private static function of(FillKind $kind): array
    {
        $words = [TextOverflows::class, TextApproximate::class];
        $picture = [MissingFile::class, Stretched::class, Enlarged::class, CutAway::class, NoLongerAllowed::class];

        return match ($kind) {
            FillKind::Empty, FillKind::Colour, FillKind::Dial, FillKind::Progress => [],
            FillKind::Playlist => [EmptyPlaylist::class, HoursOver::class],
            FillKind::Text => [WordlessText::class, ...$words, TickerTooFast::class],
            FillKind::Picture => $picture,
            FillKind::Video => [...$picture, VideoLongerThanSlot::class],
            FillKind::Clock, FillKind::Count, FillKind::Shape => $words,
            FillKind::Qr => [QrUnreadable::class],
            FillKind::Chart => [ChartUnclear::class],
            FillKind::Web => [MissingFile::class, WebNotShown::class],
            FillKind::Live => [MissingFile::class, LiveWithout::class],
        };
    }

    /** @return list<class-string<PaintRule>> */
    private static function paintedOf(FillKind $kind): array
    {
        return match ($kind) {
            FillKind::Qr => [CodeUnclear::class],
            FillKind::Progress => [ProgressOfNothing::class],
            FillKind::Empty,
            FillKind::Colour,
            FillKind::Dial,
            FillKind::Playlist,
            FillKind::Text,
            FillKind::Picture,
            FillKind::Video,
            FillKind::Clock,
            FillKind::Count,
            FillKind::Shape,
            FillKind::Chart,
            FillKind::Web,
            FillKind::Live => [],
        };
    }
}
