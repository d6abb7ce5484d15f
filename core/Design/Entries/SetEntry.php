<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Entries;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Fill\Entry;
use UpperPane\Core\Design\Spot;

/**
 * `entry.set`: an entry’s fill, duration, transition and whether it is enabled; its place stays. Refuses
 * `playlist.gone`, `playlist.entry_gone`.
 */
final readonly class SetEntry implements DesignCommand
{
    public const NAME = 'entry.set';

    public function __construct(private string $zone, private Entry $entry)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'zone', 'entry']);

        return new self($input->id('zone'), Entry::parse($input->child('entry')));
    }

    public function apply(Document $document): Change
    {
        $playlist = Playing::of($document, $this->zone);
        $old = Playing::entry($playlist, $this->entry->id, '/entry/id');

        return Playing::change(
            $document,
            $this->zone,
            $playlist->withReplaced($this->entry),
            new self($this->zone, $old),
            Spot::entry($this->zone, $this->entry->id),
        );
    }

    public function target(): Scope
    {
        return Spot::entry($this->zone, $this->entry->id);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'zone' => $this->zone, 'entry' => $this->entry->toArray()];
    }
}
