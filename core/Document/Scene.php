<?php

declare(strict_types=1);

namespace UpperPane\Core\Document;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Layout\GlazingReader;
use UpperPane\Core\Layout\Part;

/** One arrangement of zones: a glazing whose panes are the zones. */
final readonly class Scene
{
    /** @param array<string, Zone> $zones by id */
    private function __construct(public string $id, public string $name, public Part $tree, public array $zones)
    {
    }

    /** @param array<string, Zone> $zones */
    public static function of(string $id, string $name, Part $tree, array $zones): self
    {
        return new self($id, $name, $tree, $zones);
    }

    /** @throws Refusal `document.zone_unplaced` when panes and zones are not the same set */
    public static function parse(string $id, Input $input, bool $stored = false): self
    {
        $input->keys(['name', 'glazing', 'zones']);
        $glazing = $input->child('glazing');
        /** @var array<string, mixed> $raw */
        $raw = $glazing->raw();
        $tree = $stored ? GlazingReader::stored($raw) : GlazingReader::read($glazing);
        $zones = [];
        foreach ($input->child('zones')->members() as $zoneId => $zone) {
            $zones[$zoneId] = $stored ? Zone::stored((string) $zoneId, $zone) : Zone::parse((string) $zoneId, $zone);
        }
        $difference = [...array_diff($tree->paneIds(), array_map(strval(...), array_keys($zones))), ...array_diff(array_map(strval(...), array_keys($zones)), $tree->paneIds())];
        if ($difference !== []) {
            throw Refusal::because('document.zone_unplaced', $input->path, ['zones' => array_values($difference)]);
        }

        return new self($id, $input->text('name', 80), $tree, $zones);
    }

    /** @throws Refusal `document.zone_gone` */
    public function zone(string $id): Zone
    {
        return $this->zones[$id] ?? throw Refusal::because('document.zone_gone', '', ['zone' => $id]);
    }

    public function withZone(Zone $zone): self
    {
        return new self($this->id, $this->name, $this->tree, array_replace($this->zones, [$zone->id => $zone]));
    }

    /** @param array<string, Zone> $zones */
    public function withGlazing(Part $tree, array $zones): self
    {
        return new self($this->id, $this->name, $tree, $zones);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'glazing' => $this->tree->toArray(true),
            'zones' => array_map(static fn (Zone $zone) => $zone->toArray(), $this->zones),
        ];
    }
}
