<?php

declare(strict_types=1);

namespace UpperPane\Core\Change;

/** Something people edit: an immutable value. Equal documents have equal canonical JSON (RFC 8785). */
interface Document
{
    /** @return array<string, mixed> only strings, booleans, null, integers, lists and objects */
    public function toArray(): array;
}
