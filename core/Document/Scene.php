<?php

declare(strict_types=1);

namespace UpperPane\Core\Document;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Part;

/**
 * One arrangement of zones: a glazing whose panes are the zones, and maybe a second one for the other orientation. Every zone
 * stands in at least one of them, with the same letter and fill in both.
 */
final readonly class Scene
{
    /** @param array<string, Zone> $zones by id */
    private function __construct(public string $id, public string $name, public Part $tree, public array $zones, public ?Part $turned)
    {
    }

    /** @param array<string, Zone> $zones */
    public static function of(string $id, string $name, Part $tree, array $zones): self
    {
        return new self($id, $name, $tree, $zones, null);
    }

    /** @throws Refusal `document.zone_unplaced` when panes and zones are not the same set */
    public static function parse(string $id, Input $input, bool $stored = false): self
    {
        $input->keys(['name', 'glazing', 'turned', 'zones']);
        $tree = self::tree($input->child('glazing'), $stored);
        $turned = $input->has('turned') ? self::tree($input->child('turned'), $stored) : null;
        $zones = [];
        foreach ($input->child('zones')->members() as $zoneId => $zone) {
            $zones[$zoneId] = $stored ? Zone::stored((string) $zoneId, $zone) : Zone::parse((string) $zoneId, $zone);
        }
        $loose = self::looseEnds(array_map(strval(...), array_keys($zones)), $tree, $turned);
        if ($loose !== []) {
            throw Refusal::because('document.zone_unplaced', $input->path, ['zones' => $loose]);
        }

        return new self($id, $input->text('name', 80), $tree, $zones, $turned);
    }

    /**
     * @param list<string> $zoneIds
     *
     * @return list<string> zones that stand in no layout, and panes that are no zone
     */
    public static function looseEnds(array $zoneIds, Part $tree, ?Part $turned): array
    {
        $panes = [...$tree->paneIds(), ...$turned?->paneIds() ?? []];

        return array_values(array_unique([...array_diff($zoneIds, $panes), ...array_diff($panes, $zoneIds)]));
    }

    /** @throws Refusal `document.zone_gone` */
    public function zone(string $id): Zone
    {
        return $this->zones[$id] ?? throw Refusal::because('document.zone_gone', '', ['zone' => $id]);
    }

    public function withZone(Zone $zone): self
    {
        return new self($this->id, $this->name, $this->tree, array_replace($this->zones, [$zone->id => $zone]), $this->turned);
    }

    /** @param array<string, Zone> $zones */
    public function withGlazing(Part $tree, array $zones): self
    {
        return new self($this->id, $this->name, $tree, $zones, $this->turned);
    }

    /** @param array<string, Zone> $zones */
    public function withTurned(?Part $turned, array $zones): self
    {
        return new self($this->id, $this->name, $this->tree, $zones, $turned);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'glazing' => $this->tree->toArray(true),
        ] + ($this->turned === null ? [] : ['turned' => $this->turned->toArray(true)]) + [
            'zones' => array_map(static fn (Zone $zone) => $zone->toArray(), $this->zones),
        ];
    }

    private static function tree(Input $glazing, bool $stored): Part
    {
        /** @var array<string, mixed> $raw */
        $raw = $glazing->raw();

        return $stored ? GlazingReader::stored($raw) : GlazingReader::read($glazing);
    }
}
