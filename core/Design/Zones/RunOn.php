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

/**
 * `zone.runs_on`: whether a zone runs on from the site’s midnight instead of starting with its scene (model §6).
 * Refuses `document.zone_gone`.
 */
final readonly class RunOn implements DesignCommand
{
    public const NAME = 'zone.runs_on';

    public function __construct(private string $zone, private bool $on)
    {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'zone', 'on']);

        return new self($input->id('zone'), $input->bool('on'));
    }

    public function apply(Document $document): Change
    {
        $zone = $document->zone($this->zone);

        return new Change(
            $document->withZone($zone->withRunsOn($this->on)),
            [new self($this->zone, $zone->runsOn())],
            Scopes::of(Spot::zoneThere($this->zone)),
            Scopes::of(Spot::runsOn($this->zone)),
            ['letter' => $zone->letter()],
        );
    }

    public function target(): Scope
    {
        return Spot::runsOn($this->zone);
    }

    public function toArray(): array
    {
        return ['do' => self::NAME, 'zone' => $this->zone, 'on' => $this->on];
    }
}
