<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

/** How something enters. Whoever adds a way is told by the compiler wherever it is missing, in the renderer too. */
enum TransitionKind: string
{
    case Cut = 'cut';
    case Fade = 'fade';

    /** Whether what leaves is held underneath for a while. */
    public function takesTime(): bool
    {
        return match ($this) {
            self::Cut => false,
            self::Fade => true,
        };
    }
}
