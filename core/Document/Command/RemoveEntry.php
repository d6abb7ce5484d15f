<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Design;

/** `entry.remove`. */
final readonly class RemoveEntry extends EntryCommand
{
    public const NAME = 'entry.remove';

    public function __construct(string $scene, string $zone, private string $entry)
    {
        parent::__construct($scene, $zone);
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'zone', 'entry']);

        return new self($input->id('scene'), $input->id('zone'), $input->id('entry'));
    }

    public function apply(Design $design): Change
    {
        $playlist = $this->playlist($design);
        $entry = self::entry($playlist, $this->entry);
        $inverse = new AddEntry($this->scene, $this->zone, $entry, $playlist->follower($this->entry));

        return $this->change($design, $playlist->without($this->entry), $inverse);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'zone' => $this->zone, 'entry' => $this->entry];
    }
}
