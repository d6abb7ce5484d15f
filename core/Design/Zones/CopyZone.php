<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Zones;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;

/**
 * `zone.copy`: a scene gets a zone of its own, with a letter of its own, in the place of one that it shares with
 * others. Refuses what {@see ExchangeZone} refuses.
 */
final readonly class CopyZone implements DesignCommand
{
    public const NAME = 'zone.copy';

    public function __construct(private string $scene, private string $zone, private string $as)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'zone', 'as']);

        return new self($input->id('scene'), $input->id('zone'), $input->newId('as'));
    }

    public function apply(Document $document): Change
    {
        $copy = $document->zone($this->zone)->copiedAs($this->as, Letters::at($document->lettersUsed));

        return (new ExchangeZone($this->scene, $this->zone, $this->as, [$this->as => $copy], 1))
            ->apply($document)
            ->touching(Scopes::of(Spot::zone($this->zone)), Scopes::of());
    }

    public function target(): null
    {
        return null;
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'scene' => $this->scene, 'zone' => $this->zone, 'as' => $this->as];
    }
}
