<?php

declare(strict_types=1);

namespace UpperPane\Core\Document;

use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Document\Command\Touched;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Glazing;
use UpperPane\Core\Layout\Part;
use UpperPane\Core\Layout\Sizing;

/**
 * One layout of a scene with the canvas it is made for: the design's own, or the one for the other orientation, whose canvas
 * is the design's with width and height exchanged. Commands name it by the scene's id, with `.turned` behind it for the other.
 */
final readonly class SceneLayout
{
    private const TURNED = '.turned';

    private function __construct(public Design $design, public Scene $scene, public bool $turned, public Part $tree)
    {
    }

    /** @throws Refusal `document.scene_gone`, `document.layout_gone` */
    public static function of(Design $design, string $name): self
    {
        $turned = str_ends_with($name, self::TURNED);
        $scene = $design->scene($turned ? substr($name, 0, -strlen(self::TURNED)) : $name);
        $tree = $turned ? $scene->turned : $scene->tree;

        return new self($design, $scene, $turned, $tree ?? throw Refusal::because('document.layout_gone', '/scene'));
    }

    /** The layout that is made for a canvas of this orientation; the own one when there is no other. */
    public static function suiting(Design $design, Scene $scene, Size $canvas): self
    {
        $turned = $scene->turned !== null && $canvas->isPortrait() !== $design->canvas->isPortrait();

        return self::of($design, $scene->id.($turned ? self::TURNED : ''));
    }

    public function name(): string
    {
        return $this->scene->id.($this->turned ? self::TURNED : '');
    }

    public function canvas(): Size
    {
        return $this->sizing()->canvas;
    }

    public function sizing(): Sizing
    {
        return $this->design->sizing($this->turned);
    }

    public function resolved(): Glazing
    {
        return $this->sizing()->resolve($this->tree);
    }

    /**
     * The design with another tree in this layout, and other zones in the scene.
     *
     * @param ?array<string, Zone> $zones null: as they are
     *
     * @throws Refusal what {@see Glazing::resolve()} refuses
     */
    public function with(Part $tree, ?array $zones = null, int $lettersTaken = 0): Design
    {
        $this->sizing()->resolve($tree);
        $zones ??= $this->scene->zones;

        return $this->design->withScene($this->turned ? $this->scene->withTurned($tree, $zones) : $this->scene->withGlazing($tree, $zones), $lettersTaken);
    }

    /** @return array{op: string, path: string, value: mixed} RFC 6902 */
    public function patch(Part $tree): array
    {
        return ['op' => 'replace', 'path' => "/scenes/{$this->scene->id}/".($this->turned ? 'turned' : 'glazing'), 'value' => $tree->toArray(true)];
    }

    /** The name under which a part of this layout is read and written. */
    public function part(string $id): string
    {
        return Touched::part($id).($this->turned ? '/turned' : '');
    }

    /** Whether a zone also stands in the scene's other layout. */
    public function standsElsewhere(string $zoneId): bool
    {
        $other = $this->turned ? $this->scene->tree : $this->scene->turned;

        return $other !== null && in_array($zoneId, $other->paneIds(), true);
    }

    /** @return list<Zone> zones of the scene that this layout leaves out */
    public function missing(): array
    {
        return array_values(array_diff_key($this->scene->zones, array_flip($this->tree->paneIds())));
    }
}
