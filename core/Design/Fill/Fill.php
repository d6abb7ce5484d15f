<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

/** What a zone shows. Values are design px, ms and thousandths of a percent; equal fills have equal canonical JSON. */
interface Fill
{
    public function kind(): FillKind;

    /** @return array<string, mixed> as documents hold it, `kind` first */
    public function toArray(): array;

    /** @return list<string> ids of the media it refers to */
    public function mediaIds(): array;
}
