<?php

declare(strict_types=1);

namespace UpperPane\Core\Layout;

use UpperPane\Core\Base\Input;

/**
 * What a float is beside where it lies: how far one sees through it, whether it is held fast, left out of what is
 * shown, and which others it goes with.
 */
final readonly class FloatTraits
{
    public const OPAQUE = 1000;
    public const KEYS = ['opacity', 'locked', 'hidden', 'group'];

    /** @param int $opacityPermille 1000 is opaque */
    private function __construct(
        public int $opacityPermille = self::OPAQUE,
        public bool $locked = false,
        public bool $hidden = false,
        public ?string $group = null,
    ) {
    }

    public static function plain(): self
    {
        return new self();
    }

    /** Some of them set anew. */
    public function set(Input $input): self
    {
        return new self(
            $input->has('opacity') ? $input->int('opacity', 10, self::OPAQUE) : $this->opacityPermille,
            $input->has('locked') ? $input->bool('locked') : $this->locked,
            $input->has('hidden') ? $input->bool('hidden') : $this->hidden,
            $input->has('group') ? $input->optional('group')?->asId() : $this->group,
        );
    }

    /** @return array<string, mixed> what is not as usual */
    public function toArray(): array
    {
        return array_filter(
            [
                'opacity' => $this->opacityPermille === self::OPAQUE ? null : $this->opacityPermille,
                'locked' => $this->locked ?: null,
                'hidden' => $this->hidden ?: null,
                'group' => $this->group,
            ],
            static fn (mixed $one) => $one !== null,
        );
    }
}
