<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Output\OutputMap;
use UpperPane\Core\Surface\Surface;
use UpperPane\Core\Surface\SurfaceReader;

/**
 * All that is kept of a surface, as one document of named fields: what it is, where it hangs, who looks at it from where, how
 * it is fed. It is changed field by field; every field is checked against the whole.
 */
final readonly class SurfaceSheet
{
    public const KINDS = ['LCD', 'LED', 'projection'];
    public const FIELDS = ['name', 'kind', 'shape', 'left_mm', 'floor_mm', 'viewing_mm', 'safe_px', 'sound', 'touch', 'groups', 'areas', 'outputs', 'archived'];
    private const FARTHEST_MM = 1_000_000;

    /**
     * @param array<string, mixed> $fields
     * @param array<string, Rect>  $areas  by name
     */
    private function __construct(private array $fields, public Surface $surface, public array $areas, public ?OutputMap $outputs)
    {
    }

    /**
     * A new surface: a name, a kind and a shape; everything else as usual.
     *
     * @param array<string, mixed> $fields
     */
    public static function fresh(array $fields): self
    {
        return self::parse(Input::of($fields + [
            'left_mm' => 0, 'floor_mm' => 1200, 'viewing_mm' => [2000, 10_000], 'safe_px' => [0, 0, 0, 0],
            'sound' => false, 'touch' => false, 'groups' => [], 'areas' => [], 'outputs' => null, 'archived' => false,
        ]));
    }

    /** @throws Refusal with the field's path */
    public static function parse(Input $input): self
    {
        $input->keys(self::FIELDS);
        $surface = SurfaceReader::read($input->child('shape'));
        $viewing = $input->list('viewing_mm', 2, 2);
        $near = $viewing[0]->asInt(1, self::FARTHEST_MM);
        if ($viewing[1]->asInt(1, self::FARTHEST_MM) < $near) {
            throw Refusal::because('surface.viewing_order', $viewing[1]->path, ['near' => $near]);
        }
        $areas = self::areas($input, $surface);
        self::checkSafe($input, $surface);
        $input->bool('archived');
        $fields = [
            'name' => trim($input->child('name')->asText(120, 1)),
            'kind' => $input->choice('kind', self::KINDS),
            'left_mm' => $input->int('left_mm', -self::FARTHEST_MM, self::FARTHEST_MM),
            'floor_mm' => $input->int('floor_mm', -self::FARTHEST_MM, self::FARTHEST_MM),
            'sound' => $input->bool('sound'),
            'touch' => $input->bool('touch'),
            'groups' => array_values(array_unique(array_map(static fn (Input $group) => trim($group->asText(60, 1)), $input->list('groups', 50)))),
        ];
        if ($fields['name'] === '') {
            throw Refusal::because('input.missing', $input->pathTo('name'), ['key' => 'name']);
        }
        /** @var array<string, mixed> $raw */
        $raw = $input->raw();
        $outputs = $raw['outputs'] === null ? null : OutputMap::parse($input->child('outputs'));

        return new self($fields + $raw, $surface, $areas, $outputs);
    }

    /**
     * The sheet with some fields set anew.
     *
     * @param array<string, mixed> $set
     *
     * @throws Refusal with the field's path
     */
    public function with(array $set): self
    {
        return self::parse(Input::of($set + $this->fields));
    }

    public function field(string $name): mixed
    {
        return $this->fields[$name] ?? null;
    }

    /** @return array{int, int} nearest and farthest viewer */
    public function viewingMm(): array
    {
        /** @var array{int, int} */
        return $this->fields['viewing_mm'];
    }

    /** The canvas less the safe area's px on each side. */
    public function safe(): Rect
    {
        /** @var array{int, int, int, int} $px left, top, right, bottom */
        $px = $this->fields['safe_px'];
        $canvas = $this->surface->canvas;

        return Rect::of($px[0], $px[1], $canvas->width - $px[0] - $px[2], $canvas->height - $px[1] - $px[3]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->fields;
    }

    /** @return array<string, Rect> */
    private static function areas(Input $input, Surface $surface): array
    {
        $areas = [];
        foreach ($input->list('areas', 50) as $entry) {
            $area = NamedArea::parse($entry);
            if (isset($areas[$area->name])) {
                throw Refusal::because('area.name_twice', $entry->pathTo('name'), ['name' => $area->name]);
            }
            try {
                $areas[$area->name] = $area->on($surface->canvas);
            } catch (Refusal $refusal) {
                throw $refusal->below($entry->path);
            }
        }

        return $areas;
    }

    private static function checkSafe(Input $input, Surface $surface): void
    {
        $safe = array_map(static fn (Input $px) => $px->asInt(0, 100_000), $input->list('safe_px', 4, 4));
        if ($safe[0] + $safe[2] >= $surface->canvas->width || $safe[1] + $safe[3] >= $surface->canvas->height) {
            throw Refusal::because('surface.safe_too_wide', $input->pathTo('safe_px'), ['width' => $surface->canvas->width, 'height' => $surface->canvas->height]);
        }
    }
}
