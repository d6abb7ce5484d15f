<?php

declare(strict_types=1);

namespace UpperPane\Core\Style;

use UpperPane\Core\Base\Input;

/** A distance that has a name: texts whose padding is that step follow it. */
final readonly class SpaceStep
{
    private function __construct(public string $name, public int $px)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['name', 'px']);

        return new self(trim($input->text('name', 60, 1)), $input->int('px', 0, 2000));
    }

    /** @return array{name: string, px: int} design px */
    public function toArray(): array
    {
        return ['name' => $this->name, 'px' => $this->px];
    }
}
