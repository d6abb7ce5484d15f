<?php

declare(strict_types=1);

namespace UpperPane\Core\Legibility\Qr;

/** How much of a symbol may be lost or covered: about 7, 15, 25 or 30 % (ISO/IEC 18004 §6.5.1). */
enum QrLevel: string
{
    case L = 'L';
    case M = 'M';
    case Q = 'Q';
    case H = 'H';

    /** The two bits that say so in the format information (ISO/IEC 18004, table 12). */
    public function bits(): int
    {
        return match ($this) {
            self::L => 1,
            self::M => 0,
            self::Q => 3,
            self::H => 2,
        };
    }
}
