<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Layout\ReflowScale;

/** `design.reflow`: what a px becomes on surfaces of another size. In proportion is the usual and is not written down. */
final readonly class SetReflow implements Command
{
    public const NAME = 'design.reflow';

    public function __construct(private ReflowScale $by)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'by']);

        return new self(ReflowScale::from((string) $input->choice('by', array_column(ReflowScale::cases(), 'value'))));
    }

    public function apply(Design $design): Change
    {
        $usual = ReflowScale::ShortSide;
        $patch = match (true) {
            $this->by === $design->reflow => [],
            $this->by === $usual => [['op' => 'remove', 'path' => '/reflow']],
            default => [['op' => $design->reflow === $usual ? 'add' : 'replace', 'path' => '/reflow', 'value' => $this->by->value]],
        };

        return new Change($design->withReflow($this->by), new self($design->reflow), [], ['design:reflow'], $patch);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'by' => $this->by->value];
    }
}
