<?php

declare(strict_types=1);

namespace UpperPane\Core\Text\Setting;

/** How a text is fitted into its box (model §5). */
enum TextMode: string
{
    case AsSet = 'as_set';
    case Wrap = 'wrap';
    case Shrink = 'shrink';
    case WrapShrink = 'wrap_shrink';
    case Ellipsis = 'ellipsis';

    public function wraps(): bool
    {
        return $this === self::Wrap || $this === self::WrapShrink;
    }

    public function shrinks(): bool
    {
        return $this === self::Shrink || $this === self::WrapShrink;
    }
}
