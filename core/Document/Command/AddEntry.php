<?php

declare(strict_types=1);

namespace UpperPane\Core\Document\Command;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Design;
use UpperPane\Core\Document\Fill\Entry;
use UpperPane\Core\Document\Fill\PlaylistFill;

/** `entry.add`: a new entry in front of another, or at the end. */
final readonly class AddEntry extends EntryCommand
{
    public const NAME = 'entry.add';

    public function __construct(string $scene, string $zone, private Entry $entry, private ?string $before)
    {
        parent::__construct($scene, $zone);
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'zone', 'entry', 'before']);

        return new self($input->id('scene'), $input->id('zone'), Entry::parse($input->child('entry')), $input->child('before')->raw() === null ? null : $input->id('before'));
    }

    public function apply(Design $design): Change
    {
        $playlist = $this->playlist($design);
        if ($playlist->entry($this->entry->id) !== null) {
            throw Refusal::because('playlist.entry_twice', '/entry/id', ['id' => $this->entry->id]);
        }
        if (count($playlist->entries) >= PlaylistFill::MOST_ENTRIES) {
            throw Refusal::because('playlist.full', '/entry', ['most' => PlaylistFill::MOST_ENTRIES]);
        }
        if ($this->before !== null) {
            self::entry($playlist, $this->before, '/before');
        }

        return $this->change($design, $playlist->withInserted($this->entry, $this->before), new RemoveEntry($this->scene, $this->zone, $this->entry->id));
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'zone' => $this->zone, 'entry' => $this->entry->toArray(), 'before' => $this->before];
    }
}
