<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Pane;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\ReflowScale;
use UpperPane\Core\Layout\Sizing;

/**
 * The whole work for a kind of surface: a canvas in px with its physical size in µm, zones, and the scenes they stand
 * in. Every zone stands in at least one layout, and every zone of a layout is there. The round is never empty; its
 * first scene is the rest scene. Immutable; only commands make a new one.
 */
final readonly class Design implements Document
{
    public const VERSION = 2;

    /**
     * @param int                  $lettersUsed how many letters were ever given; none is given twice
     * @param array<string, Zone>  $zones       by id
     * @param array<string, Scene> $scenes      by id
     * @param list<string>         $order       all scenes, as the frieze shows them
     * @param list<string>         $round       the scenes that follow each other by themselves
     */
    private function __construct(
        public string $name,
        public Size $canvas,
        public int $widthUm,
        public int $heightUm,
        public int $lettersUsed,
        public ReflowScale $reflow,
        public array $zones,
        public array $scenes,
        public array $order,
        public array $round,
    ) {
    }

    /** One scene with one empty pane, A. */
    public static function fresh(
        string $name,
        Size $canvas,
        int $widthUm,
        int $heightUm,
        string $sceneId,
        string $zoneId,
        string $sceneName,
    ): self {
        $scene = Scene::fresh($sceneId, $sceneName, Layout::of(new Pane($zoneId, PartSize::fr(1))));

        return new self(
            $name,
            $canvas,
            $widthUm,
            $heightUm,
            1,
            ReflowScale::ShortSide,
            [$zoneId => Zone::fresh($zoneId, Letters::at(0))],
            [$sceneId => $scene],
            [$sceneId],
            [$sceneId],
        );
    }

    /**
     * From a head and ready-made zones and scenes.
     *
     * @param array<string, Zone>  $zones
     * @param array<string, Scene> $scenes
     *
     * @throws Refusal with the place of the first fault in the head
     */
    public static function assembled(Input $head, array $zones, array $scenes): self
    {
        $head->choice('version', [self::VERSION]);
        $canvas = $head->child('canvas')->keys(['px', 'um']);
        $um = $canvas->list('um', 2, 2);
        $ids = static fn (string $key) => array_map(static fn (Input $id) => $id->asId(), $head->list($key, 1000, 1));

        return new self(
            $head->text('name', 120, 1),
            Size::parse($canvas->child('px')),
            $um[0]->asInt(1, \PHP_INT_MAX),
            $um[1]->asInt(1, \PHP_INT_MAX),
            $head->int('letters_used', 0, 1_000_000),
            $head->enum('reflow', ReflowScale::class),
            $zones,
            $scenes,
            $ids('order'),
            $ids('round'),
        );
    }

    public function pitchXUm(): Rational
    {
        return Rational::of($this->widthUm, $this->canvas->width);
    }

    public function pitchYUm(): Rational
    {
        return Rational::of($this->heightUm, $this->canvas->height);
    }

    /** On the design's own canvas, or on the one for the other orientation. */
    public function sizing(bool $turned = false): Sizing
    {
        return $turned
            ? new Sizing($this->canvas->turned(90), $this->pitchYUm(), $this->pitchXUm())
            : new Sizing($this->canvas, $this->pitchXUm(), $this->pitchYUm());
    }

    public function restScene(): Scene
    {
        return $this->scenes[$this->round[0]];
    }

    /** @throws Refusal `document.scene_gone` */
    public function scene(string $id, string $path = '/scene'): Scene
    {
        return $this->scenes[$id] ?? throw Refusal::because('document.scene_gone', $path, ['scene' => $id]);
    }

    /** @throws Refusal `document.zone_gone` */
    public function zone(string $id, string $path = '/zone'): Zone
    {
        return $this->zones[$id] ?? throw Refusal::because('document.zone_gone', $path, ['zone' => $id]);
    }

    /** Whether a zone stands in any layout of any scene. */
    public function stands(string $zone): bool
    {
        foreach ($this->scenes as $scene) {
            if ($scene->holds($zone)) {
                return true;
            }
        }

        return false;
    }

    public function withZone(Zone $zone): self
    {
        return $this->with(['zones' => array_replace($this->zones, [$zone->id => $zone])]);
    }

    public function withScene(Scene $scene): self
    {
        return $this->with(['scenes' => array_replace($this->scenes, [$scene->id => $scene])]);
    }

    /**
     * @param array{name?: string, lettersUsed?: int, reflow?: ReflowScale, zones?: array<string, Zone>,
     *     scenes?: array<string, Scene>, order?: list<string>, round?: list<string>} $set
     */
    public function with(array $set): self
    {
        return new self(
            $set['name'] ?? $this->name,
            $this->canvas,
            $this->widthUm,
            $this->heightUm,
            $set['lettersUsed'] ?? $this->lettersUsed,
            $set['reflow'] ?? $this->reflow,
            $set['zones'] ?? $this->zones,
            $set['scenes'] ?? $this->scenes,
            $set['order'] ?? $this->order,
            $set['round'] ?? $this->round,
        );
    }

    /** @return array<string, mixed> everything but zones and scenes */
    public function headArray(): array
    {
        return [
            'version' => self::VERSION,
            'name' => $this->name,
            'canvas' => ['px' => $this->canvas->toArray(), 'um' => [$this->widthUm, $this->heightUm]],
            'letters_used' => $this->lettersUsed,
            'reflow' => $this->reflow->value,
            'order' => $this->order,
            'round' => $this->round,
        ];
    }

    public function toArray(): array
    {
        return $this->headArray() + [
            'zones' => array_map(static fn (Zone $zone) => $zone->toArray(), $this->zones),
            'scenes' => array_map(static fn (Scene $scene) => $scene->toArray(), $this->scenes),
        ];
    }
}
