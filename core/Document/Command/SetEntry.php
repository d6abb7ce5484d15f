<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Fill\Entry;

/** `entry.set`: an entry's fill, duration, transition and whether it is enabled; its place stays. */
final readonly class SetEntry extends EntryCommand
{
    public const NAME = 'entry.set';

    public function __construct(string $scene, string $zone, private Entry $entry)
    {
        parent::__construct($scene, $zone);
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'zone', 'entry']);

        return new self($input->id('scene'), $input->id('zone'), Entry::parse($input->child('entry')));
    }

    public function apply(Design $design): Change
    {
        $playlist = $this->playlist($design);
        $old = self::entry($playlist, $this->entry->id);

        return $this->change($design, $playlist->withReplaced($this->entry), new self($this->scene, $this->zone, $old));
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'zone' => $this->zone, 'entry' => $this->entry->toArray()];
    }
}
