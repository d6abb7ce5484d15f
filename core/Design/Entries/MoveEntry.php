<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Entries;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;

/** `entry.move`: in front of another entry, or to the end. Refuses `playlist.gone`, `playlist.entry_gone`. */
final readonly class MoveEntry implements DesignCommand
{
    public const NAME = 'entry.move';

    public function __construct(private string $zone, private string $entry, private ?string $before)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'zone', 'entry', 'before']);

        return new self($input->id('zone'), $input->id('entry'), $input->optional('before')?->asId());
    }

    public function apply(Document $document): Change
    {
        $playlist = Playing::of($document, $this->zone);
        $entry = Playing::entry($playlist, $this->entry);
        $follower = $playlist->follower($this->entry);
        if ($this->before !== null) {
            Playing::entry($playlist, $this->before, '/before');
        }
        $moved =
            $this->before === $this->entry
                ? $playlist
                : $playlist->without($this->entry)->withInserted($entry, $this->before);

        return Playing::change(
            $document,
            $this->zone,
            $moved,
            new self($this->zone, $this->entry, $follower),
            Spot::entries($this->zone),
        );
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'zone' => $this->zone, 'entry' => $this->entry, 'before' => $this->before];
    }
}
