<?php

declare(strict_types=1);

namespace UpperPane\Core\Design\Glazing;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Change;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Change\Scope;
use UpperPane\Core\Change\Scopes;
use UpperPane\Core\Design\DesignCommand;
use UpperPane\Core\Design\Layout;
use UpperPane\Core\Design\LayoutAt;
use UpperPane\Core\Design\LayoutPut;
use UpperPane\Core\Design\Spot;
use UpperPane\Core\Design\Zone;

/**
 * `layout.put`: the scene's layout for the other orientation, whole, with the zones that only it holds; null takes them
 * away. Refuses `document.scene_gone`, `document.zone_unplaced`, and what {@see LayoutPut::withZones()} refuses.
 */
final readonly class PutLayout implements DesignCommand
{
    public const NAME = 'layout.put';

    public function __construct(
        private string $scene,
        private ?Layout $layout,
/** @var array<string, Zone> */ private array $zones,
    ) {
    }

    public static function parse(Input $input): self
    {
        $input->keys(['do', 'scene', 'content', 'zones']);

        $zones = [];
        foreach ($input->child('zones')->members() as $id => $zone) {
            $zones[$id] = Zone::parse((string) $id, $zone);
        }
        $content = $input->child('content');

        return new self($input->id('scene'), $content->isNull() ? null : Layout::parse($content), $zones);
    }

    public function apply(Document $document): Change
    {
        $scene = $document->scene($this->scene);
        $this->layout?->resolve($document->sizing(true));
        $design = LayoutPut::withZones($document, $this->zones, 0)->withScene($scene->withLayout(true, $this->layout));
        $unknown = array_values(
            array_filter($this->layout?->zones() ?? [], static fn (string $id) => !isset($design->zones[$id])),
        );
        if ($unknown !== []) {
            throw Refusal::because('document.zone_unplaced', '/content', ['zones' => $unknown]);
        }
        $coming = array_map(strval(...), array_keys($this->zones));
        if (array_diff($coming, $this->layout?->zones() ?? []) !== []) {
            throw Refusal::because('document.zone_unplaced', '/zones', ['zones' => $coming]);
        }
        [$after, $gone] = LayoutPut::cleared($design, $scene->turned?->zones() ?? []);

        return new Change(
            $after,
            [new self($this->scene, $scene->turned, $gone)],
            Scopes::of(...array_map(Spot::zoneThere(...), $this->layout?->zones() ?? [])),
            Scopes::of(
                Spot::layout($this->scene, true),
                ...array_map(static fn (int|string $id) => Spot::zone((string) $id), array_keys($gone + $this->zones)),
            ),
            ['scene' => $scene->name],
        );
    }

    public function target(): Scope
    {
        return LayoutAt::scopeOf($this->scene, true);
    }

    public function toArray(): array
    {
        return [
            'do' => self::NAME,
            'scene' => $this->scene,
            'content' => $this->layout?->toArray(),
            'zones' => array_map(static fn (Zone $zone) => $zone->toArray(), $this->zones),
        ];
    }
}
