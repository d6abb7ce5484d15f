<?php

declare(strict_types=1);

namespace UpperPane\Core\Document;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Pane;
use UpperPane\Core\Layout\PartSize;
use UpperPane\Core\Layout\ReflowScale;
use UpperPane\Core\Layout\Sizing;

/**
 * The whole work for a kind of surface: a canvas in px with its physical size in µm, and scenes. Immutable; only commands
 * make a new one.
 */
final readonly class Design
{
    public const VERSION = 1;

    /** @param array<string, Scene> $scenes by id, the rest scene first */
    private function __construct(
        public string $name,
        public Size $canvas,
        public int $widthUm,
        public int $heightUm,
        public int $lettersUsed,
        public array $scenes,
        public ReflowScale $reflow = ReflowScale::ShortSide,
    ) {
    }

    /** One scene with one empty pane, A. */
    public static function fresh(string $name, Size $canvas, int $widthUm, int $heightUm, string $sceneId, string $zoneId): self
    {
        $scene = Scene::of($sceneId, 'Rest', new Pane($zoneId, PartSize::fr(1)), [$zoneId => Zone::fresh($zoneId, Letters::at(0))]);

        return new self($name, $canvas, $widthUm, $heightUm, 1, [$sceneId => $scene]);
    }

    /**
     * @param bool $stored the document comes from our own storage: its fills are read when they are asked for
     *
     * @throws Refusal with the place of the first fault
     */
    public static function parse(Input $input, bool $stored = false): self
    {
        $input->keys(['version', 'name', 'canvas', 'letters_used', 'reflow', 'scenes']);
        $input->choice('version', [self::VERSION]);
        $canvas = $input->child('canvas')->keys(['px', 'um']);
        $um = $canvas->list('um', 2, 2);
        $scenes = [];
        foreach ($input->child('scenes')->members() as $id => $scene) {
            $scenes[$id] = Scene::parse((string) $id, $scene, $stored);
        }

        return new self(
            $input->text('name', 120, 1),
            Size::parse($canvas->child('px')),
            $um[0]->asInt(1, \PHP_INT_MAX),
            $um[1]->asInt(1, \PHP_INT_MAX),
            $input->int('letters_used', 0, 1_000_000),
            $scenes,
            $input->has('reflow') ? ReflowScale::from((string) $input->choice('reflow', array_column(ReflowScale::cases(), 'value'))) : ReflowScale::ShortSide,
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
        return $this->scenes[array_key_first($this->scenes)] ?? throw new \LogicException('A design has a scene.');
    }

    /** @throws Refusal `document.scene_gone` */
    public function scene(string $id): Scene
    {
        return $this->scenes[$id] ?? throw Refusal::because('document.scene_gone', '/scene', ['scene' => $id]);
    }

    public function withScene(Scene $scene, int $lettersTaken = 0): self
    {
        return new self($this->name, $this->canvas, $this->widthUm, $this->heightUm, $this->lettersUsed + $lettersTaken, array_replace($this->scenes, [$scene->id => $scene]), $this->reflow);
    }

    public function withName(string $name): self
    {
        return new self($name, $this->canvas, $this->widthUm, $this->heightUm, $this->lettersUsed, $this->scenes, $this->reflow);
    }

    public function withReflow(ReflowScale $reflow): self
    {
        return new self($this->name, $this->canvas, $this->widthUm, $this->heightUm, $this->lettersUsed, $this->scenes, $reflow);
    }

    /** @return list<string> */
    public function mediaIds(): array
    {
        $ids = [];
        foreach ($this->scenes as $scene) {
            foreach ($scene->zones as $zone) {
                $ids += array_flip($zone->mediaIds());
            }
        }

        return array_map(strval(...), array_keys($ids));
    }

    /** @return array<string, mixed> everything but the scenes, which are stored in rows of their own */
    public function headArray(): array
    {
        return [
            'version' => self::VERSION,
            'name' => $this->name,
            'canvas' => ['px' => $this->canvas->toArray(), 'um' => [$this->widthUm, $this->heightUm]],
            'letters_used' => $this->lettersUsed,
        ] + ($this->reflow === ReflowScale::ShortSide ? [] : ['reflow' => $this->reflow->value]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->headArray() + ['scenes' => array_map(static fn (Scene $scene) => $scene->toArray(), $this->scenes)];
    }
}
