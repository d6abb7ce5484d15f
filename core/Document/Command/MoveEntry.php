<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Document\Design;

/** `entry.move`: in front of another entry, or to the end. */
final readonly class MoveEntry extends EntryCommand
{
    public const NAME = 'entry.move';

    public function __construct(string $scene, string $zone, private string $entry, private ?string $before)
    {
        parent::__construct($scene, $zone);
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'zone', 'entry', 'before']);

        return new self($input->id('scene'), $input->id('zone'), $input->id('entry'), $input->child('before')->raw() === null ? null : $input->id('before'));
    }

    public function apply(Design $design): Change
    {
        $playlist = $this->playlist($design);
        $entry = self::entry($playlist, $this->entry);
        $follower = $playlist->follower($this->entry);
        if ($this->before !== null) {
            self::entry($playlist, $this->before, '/before');
        }
        $moved = $this->before === $this->entry ? $playlist : $playlist->without($this->entry)->withInserted($entry, $this->before);

        return $this->change($design, $moved, new self($this->scene, $this->zone, $this->entry, $follower));
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'zone' => $this->zone, 'entry' => $this->entry, 'before' => $this->before];
    }
}
