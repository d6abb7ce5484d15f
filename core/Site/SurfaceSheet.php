<?php

declare(strict_types=1);

namespace UpperPane\Core\Site;

use UpperPane\Core\Base\Finding;
use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Base\Severity;
use UpperPane\Core\Change\Document;
use UpperPane\Core\Geometry\Rect;
use UpperPane\Core\Geometry\Size;
use UpperPane\Core\Output\Output;
use UpperPane\Core\Output\OutputMap;
use UpperPane\Core\Output\Wiring;
use UpperPane\Core\Output\WiringCheck;
use UpperPane\Core\Surface\Surface;
use UpperPane\Core\Surface\SurfaceReader;

/**
 * All that is kept of a surface, as one document: what it is, where it hangs, who looks at it from where, which players
 * feed it, and how. Every field is checked against the whole, and what is held is what was checked.
 */
final readonly class SurfaceSheet implements Document
{
    /** Since 4, groups and areas go by ids. */
    public const VERSION = 4;
    public const KINDS = ['LCD', 'LED', 'projection'];

    /** Those that people set one by one. */
    public const FIELDS = [
        'name',
        'kind',
        'shape',
        'left_mm',
        'floor_mm',
        'viewing_mm',
        'safe_px',
        'sound',
        'touch',
        'groups',
        'areas',
        'archived',
    ];
    public const MOST_OUTPUTS = 64;
    public const MOST_PLAYERS = 200;
    private const FARTHEST_MM = 1_000_000;

    /**
     * @param array<string, mixed> $fields
     * @param array<string, Rect>  $areas   by id
     * @param ?OutputMap           $outputs null: one panel per output, as they come
     * @param array<string, int>   $players how many outputs each has
     * @param bool                 $imagined there is only a size
     */
    private function __construct(
        private array $fields,
        public Surface $surface,
        public array $areas,
        public ?OutputMap $outputs,
        public array $players,
        private bool $imagined = false,
    ) {
    }

    /**
     * A new surface: a name, a kind and a shape; everything else as usual.
     *
     * @param array<string, mixed> $fields
     * @param array<string, int>   $players
     */
    public static function fresh(array $fields, array $players = []): self
    {
        return self::parse(
            Input::of(
                $fields + [
                    'left_mm' => 0,
                    'floor_mm' => 1200,
                    'viewing_mm' => [2000, 10_000],
                    'safe_px' => [0, 0, 0, 0],
                    'sound' => false,
                    'touch' => false,
                    'groups' => [],
                    'areas' => [],
                    'outputs' => null,
                    'archived' => false,
                    'players' => $players,
                ],
            ),
        );
    }

    /** One panel of a size and pitch that no surface has yet; it is seen from where people usually stand. */
    public static function ofSize(Size $canvas, int $widthUm, int $heightUm): self
    {
        $panel = ['native' => $canvas->toArray(), 'active_mm' => [$widthUm / 1000, $heightUm / 1000]];
        $known = self::fresh([
            'name' => "{$canvas->width} × {$canvas->height} px",
            'kind' => 'LCD',
            'shape' => ['panels' => [$panel]],
        ]);

        return new self($known->fields, $known->surface, [], null, [], true);
    }

    /** @throws Refusal with the field's path */
    public static function parse(Input $input): self
    {
        $input->keys([...self::FIELDS, 'outputs', 'players', 'version']);
        $surface = SurfaceReader::read($input->child('shape'));
        [$areas, $areaFields] = self::areas($input, $surface);

        return new self(
            [
                'name' => self::readName($input),
                'kind' => $input->choice('kind', self::KINDS),
                'shape' => $input->child('shape')->raw(),
                'left_mm' => $input->int('left_mm', -self::FARTHEST_MM, self::FARTHEST_MM),
                'floor_mm' => $input->int('floor_mm', -self::FARTHEST_MM, self::FARTHEST_MM),
                'viewing_mm' => self::viewing($input),
                'safe_px' => self::readSafe($input, $surface),
                'sound' => $input->bool('sound'),
                'touch' => $input->bool('touch'),
                'groups' => array_values(
                    array_unique(
                        array_map(
                            static fn (Input $group) => NamedId::Group->of($group->asText(60, 1)),
                            $input->list('groups', 50),
                        ),
                    ),
                ),
                'areas' => $areaFields,
                'archived' => $input->bool('archived'),
            ],
            $surface,
            $areas,
            $input->optional('outputs') === null ? null : OutputMap::parse($input->child('outputs')),
            self::readPlayers($input->child('players')),
        );
    }

    /**
     * As {@see self::toArray()} wrote it, where decimals (mm of data sheets) are text.
     *
     * @param array<string, mixed> $canonical
     *
     * @throws Refusal with the field's path
     */
    public static function ofCanonical(array $canonical): self
    {
        return self::parse(Input::of(self::numbered($canonical, false)));
    }

    private static function numbered(mixed $value, bool $isMm): mixed
    {
        if (is_array($value)) {
            foreach ($value as $key => $part) {
                $value[$key] = self::numbered($part, $isMm || str_ends_with((string) $key, '_mm'));
            }
        }

        return $isMm && is_string($value) ? (float) $value : $value;
    }

    /**
     * In their order: where nobody wired the panels, it decides who feeds which.
     *
     * @return array<string, int>
     */
    private static function readPlayers(Input $input): array
    {
        $players = [];
        // Before version 3 they were an object, whose order is nobody's promise.
        if (!array_is_list((array) $input->raw())) {
            foreach ($input->members() as $code => $outputs) {
                $players[$code] = $outputs->asInt(1, self::MOST_OUTPUTS);
            }

            return $players;
        }
        foreach ($input->asList(self::MOST_PLAYERS) as $one) {
            $one->keys(['player', 'outputs']);
            $code = $one->id('player');
            if (isset($players[$code])) {
                throw Refusal::because('player.there', $one->pathTo('player'), ['player' => $code]);
            }
            $players[$code] = $one->int('outputs', 1, self::MOST_OUTPUTS);
        }

        return $players;
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
        return self::parse(Input::of($set + $this->fields()));
    }

    public function field(string $name): mixed
    {
        return $this->fields[$name] ?? null;
    }

    public function name(): string
    {
        return is_string($this->fields['name']) ? $this->fields['name'] : '';
    }

    /** @return array<string, string> what its areas are called, by id */
    public function areaNames(): array
    {
        /** @var list<array{id: string, name: string}> $areas */
        $areas = $this->fields['areas'];

        return array_column($areas, 'name', 'id');
    }

    /** What an area is called; null for the whole, and for one that is not there any more. */
    public function areaName(?string $id): ?string
    {
        return $this->areaNames()[$id ?? ''] ?? null;
    }

    /** @return list<string> ids of the groups that it belongs to */
    public function groups(): array
    {
        /** @var list<string> */
        return $this->fields['groups'];
    }

    /**
     * What a plan can be different by: not what the surface is called, where it hangs, whose group it is in.
     *
     * @return array<string, mixed>
     */
    public function compiledFrom(): array
    {
        return array_diff_key(
            $this->toArray(),
            array_flip(['version', 'name', 'left_mm', 'floor_mm', 'groups', 'archived']),
        );
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

    /** The output map in force: the one that was made, or one panel per output. */
    public function outputMap(): OutputMap
    {
        return $this->outputs ??
            ($this->players === [] ? OutputMap::of([]) : Wiring::onePerOutput($this->surface, $this->players));
    }

    /**
     * What is made next when an output is added: on the first player with an output that carries nothing yet, else one
     * beyond the first player's.
     */
    public function nextOutput(): ?Output
    {
        $used = array_map(static fn (Output $output) => $output->name(), $this->outputMap()->outputs);
        $native = $this->surface->panels[0]->panel->native;
        foreach ($this->players as $player => $outputs) {
            for ($number = 1; $number <= $outputs; ++$number) {
                $output = Output::of((string) $player, $number, $native, []);
                if (!in_array($output->name(), $used, true)) {
                    return $output;
                }
            }
        }

        return $this->players === []
            ? null
            : Output::of((string) array_key_first($this->players), count($used) + 1, $native, []);
    }

    /** @return list<Finding> of the panels and of the wiring */
    public function findings(): array
    {
        return $this->imagined
            ? [Finding::of('design.no_surface', Severity::Note, '')]
            : [...$this->surface->findings, ...WiringCheck::of($this->outputMap(), $this->surface, $this->players)];
    }

    /** @return array<string, mixed> as it is read, numbers as numbers */
    public function fields(): array
    {
        return $this->fields + [
            'outputs' => $this->outputs?->toArray(),
            'players' => array_map(
                static fn (int|string $player, int $outputs) => ['player' => (string) $player, 'outputs' => $outputs],
                array_keys($this->players),
                $this->players,
            ),
        ];
    }

    public function toArray(): array
    {
        /** @var array<string, mixed> */
        return self::canonical(['version' => self::VERSION] + $this->fields());
    }

    /** Decimals (mm of data sheets) as text, so that equal sheets are equal bytes. */
    private static function canonical(mixed $value): mixed
    {
        return match (true) {
            is_float($value) => rtrim(rtrim(sprintf('%.6F', $value), '0'), '.'),
            is_array($value) => array_map(self::canonical(...), $value),
            default => $value,
        };
    }

    private static function readName(Input $input): string
    {
        $name = trim($input->child('name')->asText(120, 1));

        return $name === ''
            ? throw Refusal::because('input.missing', $input->pathTo('name'), ['key' => 'name'])
            : $name;
    }

    /** @return array{int, int} */
    private static function viewing(Input $input): array
    {
        $viewing = $input->list('viewing_mm', 2, 2);
        $near = $viewing[0]->asInt(1, self::FARTHEST_MM);
        $far = $viewing[1]->asInt(1, self::FARTHEST_MM);

        return $far < $near
            ? throw Refusal::because('surface.viewing_order', $viewing[1]->path, ['near' => $near])
            : [$near, $far];
    }

    /**
     * @return array{array<string, Rect>, list<array<string, mixed>>} the rectangles by id, and the areas as read
     */
    private static function areas(Input $input, Surface $surface): array
    {
        $areas = $fields = $names = [];
        foreach ($input->list('areas', 50) as $entry) {
            $area = NamedArea::parse($entry);
            if (isset($names[$area->name]) || isset($areas[$area->id])) {
                throw Refusal::because('area.name_twice', $entry->pathTo('name'), ['name' => $area->name]);
            }
            $names[$area->name] = true;
            try {
                $areas[$area->id] = $area->on($surface->canvas);
            } catch (Refusal $refusal) {
                throw $refusal->below($entry->path);
            }
            $fields[] = $area->toArray();
        }

        return [$areas, $fields];
    }

    /** @return list<int> left, top, right, bottom */
    private static function readSafe(Input $input, Surface $surface): array
    {
        $safe = array_map(static fn (Input $px) => $px->asInt(0, Size::LARGEST_PX), $input->list('safe_px', 4, 4));
        if ($safe[0] + $safe[2] >= $surface->canvas->width || $safe[1] + $safe[3] >= $surface->canvas->height) {
            throw Refusal::because('surface.safe_too_wide', $input->pathTo('safe_px'), [
                'width' => $surface->canvas->width,
                'height' => $surface->canvas->height,
            ]);
        }

        return $safe;
    }
}
