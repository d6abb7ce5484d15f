<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Refusal;

/** What a zone shows. Values are design px, ms and thousandths of a percent; equal fills have equal canonical JSON. */
interface Fill
{
    public function kind(): FillKind;

    /** @return array<string, mixed> as documents hold it, `kind` first */
    public function toArray(): array;

    /**
     * With what its names stand for: the value of a name that is not known any more stays what it was when it was
     * chosen.
     *
     * @throws Refusal when it cannot be that: a QR code in colours that do not scan
     */
    public function resolved(Names $names): self;

    /** @return list<string> ids of the media it refers to */
    public function mediaIds(): array;
}
