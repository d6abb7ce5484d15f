<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Base\Input;
use UpperPane\Core\Base\Refusal;
use UpperPane\Core\Design\Fill\Colour;
use UpperPane\Core\Design\Fill\ColourFill;
use UpperPane\Core\Design\Fill\Fill;
use UpperPane\Core\Design\Fill\FillReader;
use UpperPane\Core\Design\Fill\MediaFill;
use UpperPane\Core\Design\Fill\Transition;

/**
 * One arrangement that is on screen at a time: a layout for the design's own canvas and maybe one for the other
 * orientation, a ground behind everything, a length, and how it enters.
 */
final readonly class Scene
{
    private function __construct(
        public string $id,
        public string $name,
        public Layout $own,
        public ?Layout $turned,
        public Fill $ground,
        public SceneLength $length,
        public Transition $transition,
    ) {
    }

    public static function fresh(string $id, string $name, Layout $own): self
    {
        return new self(
            $id,
            $name,
            $own,
            null,
            ColourFill::of(Colour::ofNothing()),
            SceneLength::open(),
            Transition::cut(),
        );
    }

    /** @throws Refusal with the place of the first fault */
    public static function parse(string $id, Input $input): self
    {
        return self::built($id, $input, Layout::parse(...));
    }

    /** @param string $json from {@see toJson()} */
    public static function stored(string $id, string $json): self
    {
        /** @var array<string, mixed> $raw */
        $raw = json_decode($json, true, 512, \JSON_THROW_ON_ERROR);

        return self::built($id, Input::of($raw, "/scenes/$id"), static function (Input $layout): Layout {
            /** @var array<string, mixed> $raw */
            $raw = $layout->raw();

            return Layout::stored($raw);
        });
    }

    /** @throws Refusal `scene.ground` for anything but a colour or a picture */
    public static function readGround(Input $input): Fill
    {
        $fill = FillReader::read($input);
        $fits = $fill instanceof ColourFill || ($fill instanceof MediaFill && !$fill->kind()->isVideo());

        return $fits ? $fill : throw Refusal::because('scene.ground', $input->path, ['kind' => $fill->kind()->value]);
    }

    public function layout(bool $turned): ?Layout
    {
        return $turned ? $this->turned : $this->own;
    }

    /** @return list<string> zones that stand in any of its layouts, each once */
    public function zones(): array
    {
        return $this->turned === null
            ? $this->own->zones()
            : array_values(array_unique([...$this->own->zones(), ...$this->turned->zones()]));
    }

    public function holds(string $zone): bool
    {
        return $this->own->holds($zone) || $this->turned?->holds($zone) === true;
    }

    public function withLayout(bool $turned, ?Layout $layout): self
    {
        return $turned
            ? $this->with(['turned' => $layout])
            : $this->with(['own' => $layout ?? throw new \LogicException('A scene has a layout of its own.')]);
    }

    /**
     * @param array{name?: string, own?: Layout, turned?: ?Layout, ground?: Fill, length?: SceneLength,
     *     transition?: Transition} $set
     */
    public function with(array $set): self
    {
        return new self(
            $this->id,
            $set['name'] ?? $this->name,
            $set['own'] ?? $this->own,
            array_key_exists('turned', $set) ? $set['turned'] : $this->turned,
            $set['ground'] ?? $this->ground,
            $set['length'] ?? $this->length,
            $set['transition'] ?? $this->transition,
        );
    }

    public function as(string $id, string $name): self
    {
        return new self($id, $name, $this->own, $this->turned, $this->ground, $this->length, $this->transition);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'layouts' => ['own' => $this->own->toArray()] +
                ($this->turned === null ? [] : ['turned' => $this->turned->toArray()]),
            'ground' => $this->ground->toArray(),
            'length' => $this->length->toArray(),
            'transition' => $this->transition->toArray(),
        ];
    }

    public function toJson(): string
    {
        return json_encode($this->toArray(), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
    }

    /** @param \Closure(Input): Layout $layout */
    private static function built(string $id, Input $input, \Closure $layout): self
    {
        $input->keys(['name', 'layouts', 'ground', 'length', 'transition']);
        $layouts = $input->child('layouts')->keys(['own', 'turned']);

        return new self(
            $id,
            $input->text('name', 80, 1),
            $layout($layouts->child('own')),
            $layouts->has('turned') ? $layout($layouts->child('turned')) : null,
            self::readGround($input->child('ground')),
            SceneLength::parse($input->child('length')),
            Transition::parse($input->child('transition')),
        );
    }
}
