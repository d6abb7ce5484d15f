<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Entries;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Fill\Entry;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Design\Spot;

/**
 * `entry.add`: a new entry in front of another, or at the end. Refuses `playlist.gone`, `playlist.entry_twice`,
 * `playlist.full`, `playlist.entry_gone`.
 */
final readonly class AddEntry implements DesignCommand
{
    public const NAME = 'entry.add';

    public function __construct(private string $zone, private Entry $entry, private ?string $before)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'zone', 'entry', 'before']);

        return new self($input->id('zone'), Entry::parse($input->child('entry')), $input->optional('before')?->asId());
    }

    public function apply(Document $document): Change
    {
        $playlist = Playing::of($document, $this->zone);
        if ($playlist->entry($this->entry->id) !== null) {
            throw Refusal::because('playlist.entry_twice', '/entry/id', ['id' => $this->entry->id]);
        }
        if (count($playlist->entries) >= PlaylistFill::MOST_ENTRIES) {
            throw Refusal::because('playlist.full', '/entry', ['most' => PlaylistFill::MOST_ENTRIES]);
        }
        if ($this->before !== null) {
            Playing::entry($playlist, $this->before, '/before');
        }

        return Playing::change(
            $document,
            $this->zone,
            $playlist->withInserted($this->entry, $this->before),
            new RemoveEntry($this->zone, $this->entry->id),
            Spot::entries($this->zone),
            Spot::entry($this->zone, $this->entry->id),
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'zone' => $this->zone,
            'entry' => $this->entry->toArray(),
            'before' => $this->before,
        ];
    }
}
