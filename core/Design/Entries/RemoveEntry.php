<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Entries;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;

/** `entry.remove`. Refuses `playlist.gone`, `playlist.entry_gone`. */
final readonly class RemoveEntry implements DesignCommand
{
    public const NAME = 'entry.remove';

    public function __construct(private string $zone, private string $entry)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'zone', 'entry']);

        return new self($input->id('zone'), $input->id('entry'));
    }

    public function apply(Document $document): Change
    {
        $playlist = Playing::of($document, $this->zone);
        $entry = Playing::entry($playlist, $this->entry);
        $inverse = new AddEntry($this->zone, $entry, $playlist->follower($this->entry));

        return Playing::change(
            $document,
            $this->zone,
            $playlist->without($this->entry),
            $inverse,
            Spot::entries($this->zone),
            Spot::entry($this->zone, $this->entry),
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'zone' => $this->zone, 'entry' => $this->entry];
    }
}
