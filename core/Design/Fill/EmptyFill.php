<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Fill;

use UpperPane\Core\Base\Input;

/** Nothing yet: shows standby, and is a finding. */
final readonly class EmptyFill implements Fill
{
    public static function parse(Input $input): self
    {
        $input->keys(['kind']);

        return new self();
    }

    public function resolved(Names $names): self
    {
        return $this;
    }

    public function kind(): FillKind
    {
        return FillKind::Empty;
    }

    public function toArray(): array
    {
        return ['kind' => 'empty'];
    }

    public function mediaIds(): array
    {
        return [];
    }
}
