<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Letters;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Design\Fill\PlaylistFill;
use UpperPane\Core\Geometry\Rational;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Layout\Guide;
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
    public const MOST_SURFACES = 100;
    public const MOST_GUIDES = 100;
    public const MOST_CELLS = 200;

    /**
     * @param int                  $lettersUsed how many letters were ever given; none is given twice
     * @param array<string, Zone>  $zones       by id
     * @param array<string, Scene> $scenes      by id
     * @param list<string>         $order       all scenes, as the frieze shows them
     * @param list<string>         $round       the scenes that follow each other by themselves
     * @param list<string>         $surfaces    codes of the surfaces it is meant for beside the one it is made on
     * @param bool                 $archived    kept, but out of the lists
     * @param array<string, Guide> $guides      by id
     * @param ?array{int, int}     $lattice     columns and rows of its own canvas
     * @param ?string              $style       id of the house style whose names its fills use
     * @param bool                 $isList      a playlist of the Stock: one pane that shows a list, without a layout
     * @param bool                 $still       its texts stand still, and everything changes by a cut
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
        public array $surfaces = [],
        public bool $archived = false,
        public array $guides = [],
        public ?array $lattice = null,
        public ?string $style = null,
        public bool $still = false,
        public bool $isList = false,
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
            $head->optional('surfaces') === null ? [] : self::codes($head->child('surfaces')),
            $head->has('archived') && $head->bool('archived'),
            $head->has('guides') ? array_map(Guide::parse(...), $head->child('guides')->members()) : [],
            $head->has('lattice') ? self::lattice($head->child('lattice')) : null,
            $head->optional('style')?->asId(),
            $head->has('still') && $head->bool('still'),
            $head->has('list') && $head->bool('list'),
        );
    }

    /**
     * Codes of surfaces, each once.
     *
     * @return list<string>
     *
     * @throws Refusal `input.id` for what can be no code
     */
    public static function codes(Input $input): array
    {
        $code = static fn (Input $one) => preg_match('/^[a-z0-9][a-z0-9-]*$/D', $one->asText(60, 1)) === 1
            ? $one->asText(60)
            : throw Refusal::because('input.id', $one->path, ['value' => $one->asText(60)]);

        return array_values(array_unique(array_map($code, $input->asList(self::MOST_SURFACES))));
    }

    /** @return array{int, int} columns and rows */
    public static function lattice(Input $input): array
    {
        $pair = $input->asList(2, 2);

        return [$pair[0]->asInt(1, self::MOST_CELLS), $pair[1]->asInt(1, self::MOST_CELLS)];
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
     *     scenes?: array<string, Scene>, order?: list<string>, round?: list<string>, surfaces?: list<string>,
     *     archived?: bool, guides?: array<string, Guide>,
     *     lattice?: ?array{int, int}, style?: ?string, still?: bool, isList?: bool} $set
     */
    public function with(array $set): self
    {
        $this->isList && self::refuseLayout($set);

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
            $set['surfaces'] ?? $this->surfaces,
            $set['archived'] ?? $this->archived,
            $set['guides'] ?? $this->guides,
            array_key_exists('lattice', $set) ? $set['lattice'] : $this->lattice,
            array_key_exists('style', $set) ? $set['style'] : $this->style,
            $set['still'] ?? $this->still,
            $set['isList'] ?? $this->isList,
        );
    }

    /**
     * A playlist of the Stock: the list fills its canvas.
     *
     * @throws Refusal `playlist.layout` unless it has one pane
     */
    public function asList(PlaylistFill $list): self
    {
        $zone = array_values($this->zones)[0] ?? null;
        if ($zone === null || count($this->zones) > 1) {
            throw Refusal::because('playlist.layout', '');
        }

        return $this->withZone($zone->withFill($list->kept()))->with(['isList' => true]);
    }

    /** What it shows as a playlist of the Stock; null: it is none. */
    public function list(): ?PlaylistFill
    {
        $fill = $this->isList ? (array_values($this->zones)[0] ?? null)?->fill() : null;

        return $fill instanceof PlaylistFill ? $fill : null;
    }

    /** @param array<string, mixed> $set */
    private static function refuseLayout(array $set): void
    {
        $zones = is_array($set['zones'] ?? null) ? $set['zones'] : [];
        $zone = array_values($zones)[0] ?? null;
        $fill = $zone instanceof Zone ? $zone->fill() : null;
        if (
            count($zones) > 1
            || ($fill !== null && (!$fill instanceof PlaylistFill || $fill->of !== null))
            || count(is_array($set['scenes'] ?? null) ? $set['scenes'] : []) > 1
        ) {
            throw Refusal::because('playlist.layout', '');
        }
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
        ] +
            ($this->surfaces === [] ? [] : ['surfaces' => $this->surfaces]) +
            ($this->archived ? ['archived' => true] : []) +
            ($this->guides === []
                ? []
                : ['guides' => array_map(static fn (Guide $guide) => $guide->toArray(), $this->guides)]) +
            ($this->lattice === null ? [] : ['lattice' => $this->lattice]) +
            ($this->style === null ? [] : ['style' => $this->style]) +
            ($this->still ? ['still' => true] : []) + ($this->isList ? ['list' => true] : []);
    }

    public function toArray(): array
    {
        return $this->headArray() + [
            'zones' => array_map(static fn (Zone $zone) => $zone->toArray(), $this->zones),
            'scenes' => array_map(static fn (Scene $scene) => $scene->toArray(), $this->scenes),
        ];
    }
}
