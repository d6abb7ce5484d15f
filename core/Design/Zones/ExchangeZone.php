<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Zones;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\LayoutPut;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Design\Zone;

/**
 * `zone.exchange`: another zone takes a zone's places in all layouts of a scene; so a zone of another scene is shared.
 * The zone that leaves goes when it stands nowhere else. `zones` holds the one that comes, when the design does not
 * have it. Refuses `document.scene_gone`, `document.zone_gone`, `document.zone_twice`, and what {@see
 * LayoutPut::withZones()} refuses.
 */
final readonly class ExchangeZone implements DesignCommand
{
    public const NAME = 'zone.exchange';

    public function __construct(
        private string $scene,
        private string $from,
        private string $to,
/** @var array<string, Zone> */ private array $zones = [],
        private int $lettersTaken = 0,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'from', 'to', 'zones']);

        $zones = [];
        foreach ($input->has('zones') ? $input->child('zones')->members() : [] as $id => $zone) {
            $zones[$id] = Zone::parse((string) $id, $zone);
        }

        return new self($input->id('scene'), $input->id('from'), $input->newId('to'), $zones);
    }

    public function apply(Document $document): Change
    {
        $scene = $document->scene($this->scene);
        $from = $document->zone($this->from, '/from');
        if (!$scene->holds($this->from)) {
            throw Refusal::because('document.zone_gone', '/from', ['zone' => $this->from]);
        }
        if ($scene->holds($this->to)) {
            throw Refusal::because('document.zone_twice', '/to', ['zone' => $this->to]);
        }
        $design = LayoutPut::withZones($document, $this->zones, $this->lettersTaken);
        $to = $design->zone($this->to, '/to');
        $design = $design->withScene(
            $scene->with([
                'own' => $scene->own->exchanged($this->from, $this->to),
                'turned' => $scene->turned?->exchanged($this->from, $this->to),
            ]),
        );
        [$after, $gone] = LayoutPut::cleared($design, [$this->from]);

        return new Change(
            $after,
            [new self($this->scene, $this->to, $this->from, $gone)],
            Scopes::of(Spot::zoneThere($this->to), Spot::zoneThere($this->from)),
            Scopes::of(
                Spot::layout($this->scene, false),
                Spot::layout($this->scene, true),
                ...array_map(static fn (int|string $id) => Spot::zone((string) $id), array_keys($this->zones + $gone)),
            ),
            ['letter' => $from->letter(), 'other' => $to->letter()],
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
            'scene' => $this->scene,
            'from' => $this->from,
            'to' => $this->to,
            'zones' => array_map(static fn (Zone $zone) => $zone->toArray(), $this->zones),
        ];
    }
}
