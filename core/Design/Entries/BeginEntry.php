<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Entries;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Fill\Entry;
use UpperPane\Core\Design\Fill\FillKind;
use UpperPane\Core\Design\Fill\FreshFill;

/**
 * `entry.begin`: a new entry that shows a fresh fill of a kind, or a medium, in front of another or at the end. Refuses
 * `playlist.gone`, `playlist.entry_twice`, `playlist.full`, `playlist.entry_gone`.
 */
final readonly class BeginEntry implements DesignCommand
{
    public const NAME = 'entry.begin';

    private function __construct(private string $zone, private Entry $entry, private ?string $before)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'zone', 'entry', 'kind', 'media', 'text', 'before']);
        $input->choice('kind', FillKind::ofEntries());

        return new self(
            $input->id('zone'),
            FreshFill::entry($input->newId('entry'), FreshFill::parse($input)),
            $input->optional('before')?->asId(),
        );
    }

    public function apply(Document $document): Change
    {
        return (new AddEntry($this->zone, $this->entry, $this->before))->apply($document);
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        $fill = $this->entry->fill;

        return [
            'do' => self::NAME,
            'zone' => $this->zone,
            'entry' => $this->entry->id,
            'kind' => $fill->kind()->value,
            ...FreshFill::given($fill),
            'before' => $this->before,
        ];
    }
}
