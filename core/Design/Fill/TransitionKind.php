<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

/** How something enters. Whoever adds a way is told by the compiler wherever it is missing, in the renderer too. */
enum TransitionKind: string
{
    case Cut = 'cut';
    case Fade = 'fade';
    case SlideFromLeft = 'slide_from_left';
    case SlideFromRight = 'slide_from_right';
    case SlideFromTop = 'slide_from_top';
    case SlideFromBottom = 'slide_from_bottom';
    /** From the left edge to the right one. */
    case Wipe = 'wipe';

    /** Whether what leaves is held underneath for a while. */
    public function takesTime(): bool
    {
        return match ($this) {
            self::Cut => false,
            self::Fade,
            self::SlideFromLeft,
            self::SlideFromRight,
            self::SlideFromTop,
            self::SlideFromBottom,
            self::Wipe => true,
        };
    }
}
