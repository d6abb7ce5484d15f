<?php

declare(strict_types=1);

namespace UpperPane\Core\Plan;

use UpperPane\Core\Base\Input;

/** A sealed plan by its hash, where its files lie, and the release that it belongs to. */
final readonly class PlanRef
{
    /**
     * @param ?int   $release id; null for the idle card, which belongs to none
     * @param int    $number  of the release in its design
     * @param string $name    of the design
     * @param string $sha256  of the plan
     * @param string $base    address of the folder with the plan and its media, with a slash at its end
     */
    public function __construct(
        public ?int $release,
        public int $number,
        public string $name,
        public string $sha256,
        public string $base,
    ) {
    }

    public static function read(Input $input): self
    {
        return new self(
            $input->optional('release')?->asInt(0, \PHP_INT_MAX),
            $input->int('number', 0, \PHP_INT_MAX),
            $input->text('name', 120),
            $input->text('sha256', 64, 64),
            $input->text('base', 200),
        );
    }

    /** @return array{release: ?int, number: int, name: string, sha256: string, base: string} */
    public function toArray(): array
    {
        return [
            'release' => $this->release,
            'number' => $this->number,
            'name' => $this->name,
            'sha256' => $this->sha256,
            'base' => $this->base,
        ];
    }
}
