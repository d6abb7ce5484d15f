<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Zones;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Spot;

/** `zone.name`: a name beside the letter; empty takes it away. Refuses `document.zone_gone`. */
final readonly class NameZone implements DesignCommand
{
    public const NAME = 'zone.name';

    public function __construct(private string $zone, private string $name)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'zone', 'name']);

        return new self($input->id('zone'), $input->name('name', 80));
    }

    public function apply(Document $document): Change
    {
        $zone = $document->zone($this->zone);

        return new Change(
            $document->withZone($zone->withName($this->name)),
            [new self($this->zone, $zone->name())],
            Scopes::of(Spot::zoneThere($this->zone)),
            Scopes::of(Spot::zoneName($this->zone)),
            ['letter' => $zone->letter()],
        );
    }

    public function target(): Scope
    {
        return Spot::zoneName($this->zone);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'zone' => $this->zone, 'name' => $this->name];
    }
}
