<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Time\Unequal;

/** Which zone another one is in step with, and what it does where it has more or fewer entries (model §6, Sync). */
final readonly class Follow
{
    public function __construct(public string $leader, public Unequal $unequal)
    {
    }

    /** What is left out wraps round. */
    public static function parse(Input $input): self
    {
        $input->keys(['zone', 'unequal']);

        return new self(
            $input->id('zone'),
            $input->has('unequal') ? $input->enum('unequal', Unequal::class) : Unequal::Wrap,
        );
    }

    /** @return array{zone: string, unequal: string} */
    public function toArray(): array
    {
        return ['zone' => $this->leader, 'unequal' => $this->unequal->value];
    }
}
