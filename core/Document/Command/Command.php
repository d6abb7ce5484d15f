<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;

/** A small named intent on ids with absolute values. "May I?" and "do it" are one function: it refuses or it is done. */
interface Command
{
    /** @throws Refusal when the design is not such that this can be done */
    public function apply(Design $design): Change;

    /** @return array{do: string, ...} as it is sent and stored, `do` first */
    public function toArray(): array;
}
