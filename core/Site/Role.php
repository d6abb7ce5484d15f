<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

/** Who does what at a site. */
enum Role: string
{
    case Designer = 'designer';
    case Editor = 'editor';
    case Operator = 'operator';
    case Technician = 'technician';
    case Administrator = 'administrator';

    /** @return list<Right> */
    public function rights(): array
    {
        return match ($this) {
            self::Designer => [
                Right::See,
                Right::Design,
                Right::Mount,
                Right::Fill,
                Right::Clear,
                Right::Release,
                Right::HandOff,
                Right::Pair,
            ],
            self::Editor => [Right::See, Right::Fill],
            self::Operator => [Right::See, Right::HandOff],
            self::Technician => [Right::See, Right::Mount, Right::Pair],
            self::Administrator => Right::cases(),
        };
    }

    public function may(Right $right): bool
    {
        return in_array($right, $this->rights(), true);
    }
}
