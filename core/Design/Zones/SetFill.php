<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Zones;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Design\Spot;

/** `fill.set`: what a zone shows, whole. Refuses `document.zone_gone`. */
final readonly class SetFill implements DesignCommand
{
    public const NAME = 'fill.set';

    public function __construct(private string $zone, private Fill $fill)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'zone', 'fill']);

        $fill = FillReader::read($input->child('fill'));

        return new self($input->id('zone'), $fill instanceof PlaylistFill ? $fill->kept() : $fill);
    }

    public function apply(Document $document): Change
    {
        $zone = $document->zone($this->zone);

        return new Change(
            $document->withZone($zone->withFill($this->fill)),
            [new self($this->zone, $zone->fill())],
            Scopes::of(Spot::zoneThere($this->zone)),
            Scopes::of(Spot::fill($this->zone)),
            ['letter' => $zone->letter()],
        );
    }

    public function target(): Scope
    {
        return Spot::fill($this->zone);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'zone' => $this->zone, 'fill' => $this->fill->toArray()];
    }
}
