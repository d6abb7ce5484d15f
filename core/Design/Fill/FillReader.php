<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/** Reads any fill from untrusted JSON; the kind decides what else is asked for. */
final class FillReader
{
    /** @throws Refusal with the place of the first fault */
    public static function read(Input $input): Fill
    {
        $kind = FillKind::from((string) $input->choice('kind', array_column(FillKind::cases(), 'value')));

        return match ($kind) {
            FillKind::Empty => EmptyFill::parse($input),
            FillKind::Colour => ColourFill::parse($input),
            FillKind::Picture, FillKind::Video => MediaFill::parse($input, $kind),
            FillKind::Text => TextFill::parse($input),
            FillKind::Clock => ClockFill::parse($input),
            FillKind::Count => CountFill::parse($input),
            FillKind::Dial => DialFill::parse($input),
            FillKind::Progress => ProgressFill::parse($input),
            FillKind::Qr => QrFill::parse($input),
            FillKind::Shape => ShapeFill::parse($input),
            FillKind::Chart => ChartFill::parse($input),
            FillKind::Web => WebFill::parse($input),
            FillKind::Live => LiveFill::parse($input),
            FillKind::Playlist => PlaylistFill::parse($input),
        };
    }
}
