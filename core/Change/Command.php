<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;

/**
 * A small named intent on ids with absolute values. "May I?" and "do it" are one function: it refuses or it is done.
 * New ids come inside the command. Each command's docblock says which refusals it may give beside those of its
 * arguments.
 *
 * @template D of Document
 */
interface Command
{
    /**
     * @return self<D>
     *
     * @throws Refusal with the place of the first fault
     */
    public static function parse(Input $input): self;

    /**
     * @param D $document
     *
     * @return Change<D>
     *
     * @throws Refusal when the document is not such that this can be done; nothing is done then
     */
    public function apply(Document $document): Change;

    /**
     * What it sets, whole, so that a later command of the same target makes this one needless; null when it is no such
     * thing.
     */
    public function target(): ?Scope;

    /** @return array{do: string, ...} as it is sent and stored, `do` first */
    public function toArray(): array;
}
